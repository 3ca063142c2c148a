<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Progress\StripDay;
use HandGarden\Core\Progress\ToneAfter;
use PHPUnit\Framework\TestCase;

/** The last days of an exercise, as a therapist reads them. */
final class StripTest extends TestCase
{
    private const KEY = 'helped-lift-hold|right';

    private int $made = 0;

    public function testTheWorstAnswerOfADayCounts(): void
    {
        $strip = $this->strip(
            $this->line(
                1,
                holdSeconds: 5,
                painBefore: 1,
                painAfter: 1,
                help: Help::None,
            ),
            $this->line(
                1,
                outcome: Outcome::Part,
                holdSeconds: 3,
                painBefore: 1,
                painAfter: 4,
                help: Help::Some,
                tone: ToneAfter::Tighter,
                compensations: [Compensation::TrunkLean],
            ),
        );

        self::assertCount(1, $strip->days);
        $day = $strip->days[0];
        self::assertSame(
            [5, 3, 4],
            [$day->asked, $day->reached, $day->painAfter],
        );
        self::assertEqualsWithDelta(0.6, $day->share, 0.001);
        self::assertSame(Help::Some, $day->help);
        self::assertSame(ToneAfter::Tighter, $day->tone);
        self::assertSame(['trunk-lean'], $day->tricks);
        self::assertCount(2, $strip->lineIds());
    }

    public function testASkippedDayHasItsPlaceAndItsReason(): void
    {
        $strip = $this->strip(
            $this->line(1),
            $this->line(
                2,
                outcome: Outcome::Skipped,
                reason: SkipReason::Tired,
            ),
        );

        self::assertSame(
            [null, SkipReason::Tired],
            array_column($strip->days, 'reason'),
        );
        self::assertSame(
            [1.0, 0.0],
            array_column($strip->days, 'share'),
        );
        self::assertNull($strip->days[1]->reached);
    }

    public function testWhatWasDoneThatDayStandsBeforeWhatWasSkipped(): void
    {
        $strip = $this->strip(
            $this->line(
                1,
                outcome: Outcome::Skipped,
                reason: SkipReason::Tired,
            ),
            $this->line(1),
        );

        self::assertSame(
            [Outcome::Done],
            array_column($strip->days, 'outcome'),
        );
    }

    public function testItIsTheLastDaysOfThisItemOnlyAndTheOrderOfArrivalDoesNotMatter(): void
    {
        $lines = [];
        for ($day = 1; $day <= 12; ++$day) {
            $lines[] = $this->line(
                $day,
                painAfter: $day % 4,
            );
        }
        $strip = $this->strip(...$lines);
        shuffle($lines);

        self::assertEquals(
            $strip,
            $this->strip(...$lines),
        );
        self::assertCount(Strip::DAYS, $strip->days);
        self::assertSame(
            '2026-11-12',
            $strip->days[Strip::DAYS - 1]->day->format('Y-m-d'),
        );
        self::assertTrue(
            Strip::of('another|right', new SittingLog($lines))->isEmpty(),
        );
        self::assertSame(
            range(5, 12),
            array_map(
                static fn (StripDay $d): int => (int) $d->day->format('j'),
                $strip->days,
            ),
        );
    }

    private function strip(LogLine ...$lines): Strip
    {
        return Strip::of(
            self::KEY,
            new SittingLog(array_values($lines)),
        );
    }

    private function line(int $day, mixed ...$with): LogLine
    {
        ++$this->made;
        /** @var array{string, string, string, Hands, Dose, \DateTimeImmutable, Outcome} $all by property */
        $all = $with + [
            'id' => 'line '.$this->made,
            'sittingId' => 'sitting '.$day,
            'rungId' => 'helped-lift-hold',
            'hands' => Hands::Right,
            'dose' => Dose::once()->withRepetitions(8)->withHold(5),
            'day' => new \DateTimeImmutable(
                \sprintf('2026-11-%02d', $day),
                new \DateTimeZone('UTC'),
            ),
            'outcome' => Outcome::Done,
        ];

        return new LogLine(...$all);
    }
}
