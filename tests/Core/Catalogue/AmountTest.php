<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Core\Catalogue\Amount;
use HandGarden\Core\Catalogue\AmountUnit;
use HandGarden\Core\Catalogue\DoseRange;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Reachable;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

final class AmountTest extends TestCase
{
    public function testMoreOfAnItemIsMoreSets(): void
    {
        $rung = Cases::catalogue()->rung('helped-lift-hold');
        $start = $rung->dosing->start;

        self::assertSame([1, 2, 3, 4, 5], self::numbers($rung));
        self::assertEquals(
            $start->withSets(3),
            $rung->dosing->with($start, new Amount(AmountUnit::Sets, 3)),
        );
        self::assertSame(3, $rung->dosing->amountOf($start->withSets(3))->number);
    }

    public function testATimedItemTakesUpToTwiceItsTime(): void
    {
        $rung = Cases::catalogue()->rung('back-hand-ball-balance');
        $start = $rung->dosing->start;

        self::assertSame([2, 3, 4], self::numbers($rung));
        $seconds = array_map(
            static fn (Amount $a): int => $rung->dosing->with($start, $a)->moveSeconds,
            $rung->dosing->amounts->amounts(),
        );
        self::assertSame([30, 45, 60], $seconds);
        self::assertSame(3, $rung->dosing->amountOf($start->withMove(45))->number);
        $rung->dosing->check($start->withMove(45), $rung->name);
        $this->expectException(InvalidDose::class);
        $this->expectExceptionMessage('75 is outside 30..60');
        $rung->dosing->check($start->withMove(75), $rung->name);
    }

    public function testWhereSetsAlternateOneStepIsAWholeAlternation(): void
    {
        $rung = Cases::catalogue()->rung('hooked-fingertip-pull');

        self::assertSame([2, 4, 6], self::numbers($rung));
        self::assertSame(2, $rung->dosing->amountOf($rung->dosing->start->withSets(3))->number);
        $this->expectException(InvalidDose::class);
        $rung->dosing->check($rung->dosing->start->withSets(3), $rung->name);
    }

    public function testPassesAreDifficultyAndNotAmount(): void
    {
        foreach (['wide-arm-pull-back', 'spread-hand-turns', 'four-shape-chain', 'cup-ring-chain'] as $id) {
            $rung = Cases::catalogue()->rung($id);
            self::assertSame([1], self::numbers($rung));
            self::assertGreaterThan(1, $rung->dosing->start->passes, $id);
            self::assertFalse($rung->dosing->start->withPasses(1)->isAsHardAs($rung->dosing->start));
        }
    }

    public function testARuleThatNoDoseOfTheRangeMeetsIsFound(): void
    {
        $dosing = Cases::catalogue()->rung('helped-lift-hold')->dosing;
        $hold = $dosing->progress[0];

        self::assertTrue(Reachable::is($hold, $dosing->range));
        self::assertFalse(Reachable::is($hold, new DoseRange($dosing->range->repetitions, [1, 4])));
        $load = Cases::catalogue()->rung('weighted-wrist-lift')->dosing;
        $heavy = $load->progress[0];
        self::assertTrue(Reachable::is($heavy, $load->range));
        self::assertFalse(
            Reachable::is($heavy, new DoseRange([1, 2], [0, 0], $load->range->loadKilograms)),
        );
    }

    public function testStrengthAndRestHaveSmallAmountsEverywhere(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            $amounts = self::numbers($rung);
            $most = \count($amounts);
            match ($rung->load->class) {
                EffortClass::Calm,
                EffortClass::Device => self::assertSame(1, $most, $rung->id),
                EffortClass::Strength => self::assertLessThanOrEqual(3, $most, $rung->id),
                default => self::assertLessThanOrEqual(5, $most, $rung->id),
            };
            if ($rung->load->intensity >= 4) {
                self::assertLessThanOrEqual(3, $most, $rung->id);
            }
        }
    }

    /** @return list<int> */
    private static function numbers(Rung $rung): array
    {
        return array_map(
            static fn (Amount $a): int => $a->number,
            $rung->dosing->amounts->amounts(),
        );
    }
}
