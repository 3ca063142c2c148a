<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Adherence;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\TurnedAway;
use HandGarden\Core\Progress\Unlike;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

final class TurnedAwayTest extends TestCase
{
    public function testANoOnTwoDaysRunningIsForADoctor(): void
    {
        self::assertFalse(self::isForADoctor(['29' => true]), 'once is a no, and nothing more');
        self::assertTrue(self::isForADoctor(['28' => true, '29' => true]));
        self::assertTrue(self::isForADoctor(['27' => true, '29' => true]), 'nothing was planned between');
        self::assertFalse(
            self::isForADoctor(['27' => true, '28' => false, '29' => true]),
            'it went well between',
        );
        self::assertFalse(self::isForADoctor(['28' => true, '29' => false]), 'it goes well again');
        self::assertFalse(self::isForADoctor(['20' => true, '21' => true]), 'long ago');
    }

    public function testRestlessOrSleepyOnTwoDaysIsForADoctorToo(): void
    {
        $line = static fn (string $day, ?SkipReason $why, ?Unlike $unlike): LogLine => LogLine::from(
            'l-'.$day,
            's-'.$day,
            new ItemKey('cream-palm-massage', Hands::Right),
            Dose::once(),
            day: new \DateTimeImmutable('2026-11-'.$day),
            told: new Told(null === $why ? Outcome::Done : Outcome::Skipped, reason: $why, unlike: $unlike),
        );
        $isFor = static fn (LogLine ...$lines): bool => TurnedAway::isForADoctor(
            new SittingLog(array_values($lines)),
            new \DateTimeImmutable('2026-11-30'),
        );

        self::assertTrue($isFor($line('28', null, Unlike::Sleepy), $line('29', null, Unlike::Restless)));
        self::assertTrue(
            $isFor($line('28', SkipReason::TurnedAway, null), $line('29', null, Unlike::Sleepy)),
        );
        self::assertFalse($isFor($line('28', null, null), $line('29', null, Unlike::Sleepy)), 'one day');
    }

    public function testANoIsNotHeldAgainstAnybody(): void
    {
        $rung = Cases::catalogue()->rung('cream-palm-massage');
        $item = new Item($rung, Hands::Right, $rung->dosing->start, new Phrase('x'));
        $share = static fn (SkipReason $why): float => Adherence::of(
            Prescribed::in([$item]),
            new SittingLog([self::line('28', null), self::line('29', $why)]),
            7,
            since: new \DateTimeImmutable('2026-11-28'),
            today: new \DateTimeImmutable('2026-11-30'),
        )[0]->share();

        self::assertSame(0.5, $share(SkipReason::Tired));
        self::assertSame(1.0, $share(SkipReason::TurnedAway));
    }

    public function testNobodyIsAskedToGiveItAsAReason(): void
    {
        self::assertNotContains(SkipReason::TurnedAway, SkipReason::ofPeople());
    }

    /** @param array<int|string, bool> $days whether they turned away, by day of the month */
    private static function isForADoctor(array $days): bool
    {
        $lines = [];
        foreach ($days as $day => $isNo) {
            $lines[] = self::line((string) $day, $isNo ? SkipReason::TurnedAway : null);
        }

        return TurnedAway::isForADoctor(new SittingLog($lines), new \DateTimeImmutable('2026-11-30'));
    }

    private static function line(string $day, ?SkipReason $why): LogLine
    {
        return new LogLine(
            'line '.$day,
            'sitting '.$day,
            'cream-palm-massage',
            Hands::Right,
            dose: Dose::once(),
            day: new \DateTimeImmutable('2026-11-'.$day),
            outcome: null === $why ? Outcome::Done : Outcome::Skipped,
            reason: $why,
        );
    }
}
