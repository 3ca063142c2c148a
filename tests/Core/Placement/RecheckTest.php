<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Assessment\FieldName;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\Needed;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\Recheck;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RecheckTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function examples(): iterable
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('examples')]
    public function testEverythingAskedCanBeAnsweredInAFieldAndIsAskedOnce(string $name): void
    {
        $case = Cases::example($name);
        $asked = (new Recheck(Cases::catalogue()))->for(
            (new Placer(Cases::catalogue()))->place($case->facts, $case->today),
            $case->facts,
        );

        self::assertNotSame([], $asked);
        $keys = array_map(
            static fn (Needed $n): string => $n->code.'|'.$n->argument.'|'.$n->side->value,
            $asked,
        );
        self::assertSame($keys, array_values(array_unique($keys)));
        foreach ($asked as $fact) {
            self::assertNotSame(
                [],
                FieldName::answering($fact, Cases::catalogue()->vocabulary),
                $fact->code,
            );
        }
    }

    public function testToneIsNotAskedBeforeTheMeasuresItWouldSpoil(): void
    {
        $case = Cases::example('tight-hand');
        $asked = array_map(
            static fn (Needed $n): string => $n->code,
            (new Recheck(Cases::catalogue()))->for(
                (new Placer(Cases::catalogue()))->place($case->facts, $case->today),
                $case->facts,
            ),
        );
        self::assertContains('wrist_ext_hold_s', $asked);

        self::assertNotContains(
            'tryout',
            $asked,
            'a try-out is offered where it is, not asked again',
        );
    }

    public function testAHandFoundWhollyUnaffectedIsNotAskedForObservations(): void
    {
        $case = Cases::example('tight-hand');
        $placements = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);
        foreach ((new Recheck(Cases::catalogue()))->for($placements, $case->facts) as $fact) {
            if (
                null !== Cases::catalogue()->vocabulary->observation($fact->code)
                && Cases::catalogue()->vocabulary->isSided($fact->code)
            ) {
                self::assertSame(Side::Right, $fact->side, $fact->code);
            }
        }
    }

    public function testAnIndexOfIndependenceIsAnsweredByFiveMarksAndAReleaseAngleByFourOpenings(): void
    {
        $vocabulary = Cases::catalogue()->vocabulary;
        $names = static fn (string $code, ?string $argument): array => array_map(
            static fn (FieldName $f): string => $f->name(),
            FieldName::answering(
                new Needed($code, $argument, Side::Left, 10, decides: []),
                $vocabulary,
            ),
        );

        self::assertSame(
            [
                'm[along:left:-:ring>thumb]',
                'm[along:left:-:ring>index]',
                'm[along:left:-:ring>middle]',
                'm[along:left:-:ring>ring]',
                'm[along:left:-:ring>little]',
            ],
            $names('individuation_idx', 'ring'),
        );
        self::assertCount(4, $names('release_angle_deg', null));
        self::assertSame(['o[curls:left:-:-]'], $names('curls', null));
        self::assertSame(
            ['t[helped-lift-hold:left]'],
            $names('tryout', 'helped-lift-hold'),
        );
        self::assertSame(['m[commands_n:-:-:-]'], $names('commands_n', null));
    }
}
