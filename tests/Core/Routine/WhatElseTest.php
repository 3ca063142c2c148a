<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Alternative;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\WhatElse;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WhatElseTest extends TestCase
{
    /** @return iterable<string, array{string, list<string>}> */
    public static function cases(): iterable
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            yield $name.' at a table' => [$name, ['table', 'firm-chair']];
            yield $name.' with a few things' => [
                $name,
                ['table', 'firm-chair', 'pillow-or-towel', 'hand-cream', 'coins'],
            ];
        }
    }

    /** @param list<string> $materials */
    #[DataProvider('cases')]
    public function testWhatIsNamedReallyAddsWhatItSaysAndNothingElseIs(
        string $name,
        array $materials,
    ): void {
        $case = Cases::example($name);
        $facts = $case->facts->withSetting($case->facts->setting->withMaterials($materials));
        $placements = (new Placer(Cases::catalogue()))->place($facts, $case->today);
        $limits = new Limits(30, 120.0, 20);
        $brief = new Brief($placements, $facts, $case->goals, $limits, today: $case->today);
        $now = (new Builder(Cases::catalogue()))->build($brief);
        $found = (new WhatElse(Cases::catalogue()))->for($now, $brief);

        self::assertSame(
            $found,
            array_values(
                array_filter(
                    $found,
                    static fn (Alternative $a): bool => $a->gain > 0 && [] !== $a->adds,
                ),
            ),
        );
        $gains = array_map(
            static fn (Alternative $a): int => $a->gain,
            array_values(
                array_filter(
                    $found,
                    static fn (Alternative $a): bool => 'alternative.minutes' !== $a->with->code,
                ),
            ),
        );
        $sorted = $gains;
        rsort($sorted);
        self::assertSame($sorted, $gains, 'most gain first');
        foreach ($found as $alternative) {
            foreach (Cases::catalogue()->handbook()->materials as $key => $material) {
                if ($material->label === Said::of($alternative->with)) {
                    self::assertNotContains($key, $materials);
                    $then = (new Builder(Cases::catalogue()))->build(
                        $brief->withClient(
                            $placements,
                            $facts->withSetting($facts->setting->withMaterials([...$materials, $key])),
                        ),
                    );
                    if ($then->isProvedBest()) {
                        self::assertSame($alternative->gain, $then->value - $now->value);
                    } else { // a search that was cut short may miss what another one finds
                        self::assertLessThanOrEqual(
                            $then->bound - $now->value,
                            $alternative->gain,
                        );
                    }
                }
            }
        }
    }

    public function testWhoWasNeverAskedForMaterialsMissesNone(): void
    {
        $case = Cases::changed(
            'tight-hand',
            [
                'client' => [
                    'materials' => null,
                    'helper_here' => true,
                    'conditions' => ['stroke', 'spasticity'],
                    'affected' => ['right'],
                ],
            ],
        );
        $placements = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);
        $limits = new Limits(30, 120.0, 20);
        $brief = new Brief(
            $placements,
            $case->facts,
            $case->goals,
            $limits,
            today: $case->today,
        );
        $now = (new Builder(Cases::catalogue()))->build($brief);

        self::assertSame(
            [],
            array_filter(
                (new WhatElse(Cases::catalogue()))->for($now, $brief),
                static fn (Alternative $a): bool => 'alternative.minutes' !== $a->with->code,
            ),
        );
    }
}
