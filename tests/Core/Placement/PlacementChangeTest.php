<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Placement\PlacementChange;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\Placer;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

final class PlacementChangeTest extends TestCase
{
    public function testTheSameClientHasNotMoved(): void
    {
        $placements = self::place(Cases::example('tight-hand'));

        self::assertSame([], $placements->changedFrom($placements));
    }

    public function testALongerHoldMovesUpAndAShorterOneBack(): void
    {
        $weak = self::place(Cases::example('tight-hand'));
        $case = self::holding(8);
        $strong = (new Placer(Cases::catalogue()))->place(
            $case->facts->withMet(['helped-lift-hold|right']),
            $case->today,
        );
        $up = self::onBase($strong->changedFrom($weak));
        $back = self::onBase($weak->changedFrom($strong));

        self::assertNotNull($up);
        self::assertNotNull($back);
        self::assertGreaterThan(0, $up->rungs());
        self::assertStringStartsWith('from Helped lift and hold up to ', Said::of($up->words()));
        self::assertSame(-(int) $up->rungs(), $back->rungs());
        self::assertStringContainsString('back to Helped lift and hold', Said::of($back->words()));
    }

    public function testAHandThatWasOnNoRungComesOntoOne(): void
    {
        $nothing = self::place(
            Cases::changed(
                'tight-hand',
                ['measures' => [], 'observations' => [], 'tryouts' => [], 'looked_for' => []],
            ),
        );
        $change = self::onBase(self::place(Cases::example('tight-hand'))->changedFrom($nothing));

        self::assertNull($change?->rungs());
        self::assertSame('now on Helped lift and hold', Said::of($change?->words()));
        self::assertSame(
            'stood on Helped lift and hold, now on none',
            Said::of(
                self::onBase($nothing->changedFrom(self::place(Cases::example('tight-hand'))))?->words(),
            ),
        );
    }

    /** @param list<PlacementChange> $changes */
    private static function onBase(array $changes): ?PlacementChange
    {
        return array_values(
            array_filter(
                $changes,
                static fn (PlacementChange $c): bool => 'base-1' === $c->ladder->key,
            ),
        )[0]
            ?? null;
    }

    private static function holding(int $seconds): CaseFile
    {
        /** @var array{measures: list<array<string, mixed>>} $file */
        $file = json_decode(
            (string) file_get_contents(Cases::root().'/docs/examples/tight-hand.json'),
            true,
            64,
            \JSON_THROW_ON_ERROR,
        );
        $measures = array_values(
            array_filter(
                $file['measures'],
                static fn (array $m): bool => 'wrist_ext_hold_s' !== $m['code'],
            ),
        );

        return Cases::changed(
            'tight-hand',
            [
                'measures' => [
                    ...$measures,
                    ['code' => 'wrist_ext_hold_s', 'side' => 'right', 'seconds' => $seconds],
                ],
            ],
        );
    }

    private static function place(CaseFile $case): Placements
    {
        return (new Placer(Cases::catalogue()))->place($case->facts, $case->today);
    }
}
