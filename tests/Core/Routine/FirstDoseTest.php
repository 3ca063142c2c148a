<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Measured;
use HandGarden\Core\Placement\People;
use HandGarden\Core\Placement\Setting;
use HandGarden\Core\Routine\FirstDose;
use HandGarden\Core\Screening\Screening;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

/** What an exercise begins with is no more than was measured. */
final class FirstDoseTest extends TestCase
{
    private const TODAY = '2026-11-20';

    public function testAHoldIsNoLongerThanMeasuredAndTheShortestWhereNobodyLooked(): void
    {
        self::assertSame(
            2,
            self::first('gripper-all-finger-hold', [self::hold('grip_hold_s', 'all', 2.9)])->holdSeconds,
        );
        self::assertSame(1, self::first('gripper-all-finger-hold', [])->holdSeconds);
    }

    public function testFingersBeginWithTheFirstThatDoesNotHoldLongYet(): void
    {
        $dose = self::first('coin-still-hold', [
            self::hold('pinch_hold_s', 'index', 10.0),
            self::hold('pinch_hold_s', 'middle', 4.5),
        ]);

        self::assertSame(['middle', 4], [$dose->levels->at(Challenge::Finger), $dose->holdSeconds]);
    }

    public function testAFingerThatNobodyMeasuredBeginsWithTheShortestHold(): void
    {
        $dose = self::first('coin-still-hold', [self::hold('pinch_hold_s', 'index', 10.0)]);

        self::assertSame(['middle', 1], [$dose->levels->at(Challenge::Finger), $dose->holdSeconds]);
    }

    public function testTheWristBeginsWhereTheHandLetGo(): void
    {
        $letsGo = [self::opening('-60', 80.0), self::opening('-30', 45.0), self::opening('0', 0.0)];

        self::assertSame(-60, self::first('wrist-forward-release', [])->levels->at(Challenge::Angle));
        self::assertSame(-30, self::first('wrist-forward-release', $letsGo)->levels->at(Challenge::Angle));
    }

    /** @param list<Reading> $readings */
    private static function first(string $rung, array $readings): Dose
    {
        $today = new \DateTimeImmutable(self::TODAY);
        $known = new KnownFacts(
            new ClientFacts(
                new People([Condition::Stroke], [Side::Right], [Side::Left], Side::Right),
                new Setting(),
                new Measured(new Readings($readings), new Screening(Cases::catalogue()->screening, [])),
                new Decided(),
            ),
            Cases::catalogue()->vocabulary,
            $today,
        );

        return (new FirstDose($known))->of(Cases::catalogue()->rung($rung), Hands::Right);
    }

    private static function hold(string $measure, string $of, float $seconds): Reading
    {
        return new Reading(
            $measure,
            Side::Right,
            null,
            $of,
            value: $seconds,
            on: new \DateTimeImmutable(self::TODAY),
        );
    }

    private static function opening(string $angle, float $percent): Reading
    {
        return new Reading(
            'opening',
            Side::Right,
            Mode::Active,
            $angle,
            value: $percent,
            on: new \DateTimeImmutable(self::TODAY),
        );
    }
}
