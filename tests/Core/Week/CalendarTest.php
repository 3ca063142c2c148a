<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Week;

use HandGarden\Content\Format\CalendarFormat;
use HandGarden\Content\Format\CalendarReading;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Week\BusyTimes;
use HandGarden\Core\Week\PlannedDay;
use HandGarden\Core\Week\Slot;
use HandGarden\Core\Week\Week;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CalendarTest extends TestCase
{
    /**
     * @return iterable<string, array{string, array<int, list<array{int, int}>>}> lines of one event, taken minutes
     *    by day
     */
    public static function events(): iterable
    {
        yield 'an hour on Tuesday' => [
            "DTSTART;TZID=Europe/Tallinn:20260106T093000\nDTEND;TZID=Europe/Tallinn:20260106T103000",
            [1 => [[570, 630]]],
        ];
        yield 'in another zone' => [
            "DTSTART:20260106T073000Z\nDTEND:20260106T083000Z",
            [1 => [[570, 630]]],
        ];
        yield 'by its length' => [
            "DTSTART;TZID=Europe/Tallinn:20260106T093000\nDURATION:PT2H",
            [1 => [[570, 690]]],
        ];
        yield 'a whole day' => ['DTSTART;VALUE=DATE:20260107', [2 => [[0, 1440]]]];
        yield 'over midnight' => [
            "DTSTART;TZID=Europe/Tallinn:20260106T230000\nDTEND;TZID=Europe/Tallinn:20260107T010000",
            [1 => [[1380, 1440]], 2 => [[0, 60]]],
        ];
        yield 'every weekday since last year' => [
            "DTSTART;TZID=Europe/Tallinn:20250106T080000\n"
                ."DTEND;TZID=Europe/Tallinn:20250106T090000\nRRULE:FREQ=WEEKLY;BYDAY=MO,WE",
            [0 => [[480, 540]], 2 => [[480, 540]]],
        ];
        yield 'cancelled' => [
            "DTSTART:20260106T073000Z\nDTEND:20260106T083000Z\nSTATUS:CANCELLED",
            [],
        ];
        yield 'marked as free' => [
            "DTSTART:20260106T073000Z\nDTEND:20260106T083000Z\nTRANSP:TRANSPARENT",
            [],
        ];
        yield 'another week' => ["DTSTART:20260206T073000Z\nDTEND:20260206T083000Z", []];
    }

    /** @param array<int, list<array{int, int}>> $expected */
    #[DataProvider('events')]
    public function testReadsWhatIsTaken(string $lines, array $expected): void
    {
        $text = "BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//y//EN\nBEGIN:VEVENT\nUID:1\n"
            ."DTSTAMP:20250101T000000Z\n$lines\nEND:VEVENT\nEND:VCALENDAR\n";
        $zone = new \DateTimeZone('Europe/Tallinn');
        $monday = new \DateTimeImmutable('2026-01-05', $zone);
        $busy = CalendarFormat::busy($text, $monday, $monday->modify('+7 days'), $zone)->inWeek(
            $monday,
            $zone,
        );

        self::assertEquals(
            array_map(
                static fn (array $slots): array => array_map(
                    static fn (array $s): Slot => new Slot($s[0], $s[1]),
                    $slots,
                ),
                $expected,
            ),
            $busy,
        );
    }

    public function testWhatIsNoCalendarIsRefused(): void
    {
        $monday = new \DateTimeImmutable('2026-01-05', new \DateTimeZone('UTC'));
        foreach (
            [
                '',
                'Monday 9:00 dentist',
                '{"a":1}',
                "BEGIN:VCARD\nVERSION:4.0\nFN:x\nEND:VCARD\n",
                str_repeat('x', 600_000),
            ] as $text
        ) {
            try {
                CalendarFormat::busy($text, $monday, $monday->modify('+7 days'), new \DateTimeZone('UTC'));
                self::fail(substr($text, 0, 20));
            } catch (InvalidData $e) {
                self::assertStringStartsWith('calendar', $e->getMessage());
            }
        }
    }

    public function testTheWeekGoesOutAndComesInAgainAtTheSameTimes(): void
    {
        $monday = new \DateTimeImmutable(
            '2026-03-23',
            new \DateTimeZone('UTC'),
        ); // summer time begins on its Sunday
        $zone = new \DateTimeZone('Europe/Tallinn');
        $days = [];
        for ($day = 0; $day < 7; ++$day) {
            $days[] = new PlannedDay(
                $monday->modify("+$day days"),
                3 === $day ? [] : [new Slot(450, 475)],
                [],
                true,
                conflicts: [],
            );
        }
        $text = CalendarFormat::week(
            new Week($days, []),
            'week',
            $zone,
            new \DateTimeImmutable('2026-03-01T00:00:00Z'),
        );
        $busy = CalendarFormat::busy($text, $monday, $monday->modify('+8 days'), $zone)->inWeek(
            $monday,
            $zone,
        );

        self::assertSame([0, 1, 2, 4, 5, 6], array_keys($busy));
        foreach ($busy as $slots) {
            self::assertEquals([new Slot(450, 475)], $slots);
        }
    }

    public function testWhatNeverEndsIsEndedAndWhatEatsAllMemoryToo(): void
    {
        $from = new \DateTimeImmutable('2026-01-05', new \DateTimeZone('UTC'));
        foreach (
            [
                // each meets the one limit long before the other, on a busy machine too
                ['takes too long', 1.0, 'RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30'],
                ['more than', 60.0, 'RRULE:FREQ=HOURLY'],
            ] as [$reason, $seconds, $rule]
        ) {
            try {
                (new CalendarReading($seconds))->busy(
                    "BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//y//EN\nBEGIN:VEVENT\nUID:1\n"
                        ."DTSTART:20260105T090000Z\nDURATION:PT10M\n$rule\nEND:VEVENT\nEND:VCALENDAR\n",
                    $from,
                    $from->modify('+54 weeks'),
                    $from->getTimezone(),
                );
                self::fail($rule);
            } catch (InvalidData $e) {
                self::assertStringContainsString($reason, $e->getMessage());
            }
        }
    }

    public function testBothReadingsOfAFileAreTheSame(): void
    {
        $zone = new \DateTimeZone('Europe/Tallinn');
        $from = new \DateTimeImmutable('2026-01-05', $zone);
        $to = $from->modify('+54 weeks');
        $text = "BEGIN:VCALENDAR\nVERSION:2.0\nPRODID:-//x//y//EN\nBEGIN:VEVENT\nUID:1\n"
            ."DTSTART;TZID=Europe/Tallinn:20250105T090000\nDURATION:PT45M\nRRULE:FREQ=WEEKLY;BYDAY=MO,FR\n"
            ."END:VEVENT\nEND:VCALENDAR\n";

        $busy = CalendarFormat::busy($text, $from, $to, $zone);
        self::assertGreaterThan(100, \count($busy->spans));
        self::assertEquals($busy, (new CalendarReading(60.0))->busy($text, $from, $to, $zone));
    }

    public function testBusyTimesAreJoinedAndKeepTheClockInTheHourThatComesTwice(): void
    {
        $zone = new \DateTimeZone('Europe/Tallinn');
        $at = static fn (string $utc): int => (new \DateTimeImmutable($utc))->getTimestamp();
        $busy = BusyTimes::from([
            [$at('2026-10-25T00:50:00Z'), $at('2026-10-25T01:10:30Z')], // 3:50 to 3:10 and a half, an hour later
            [$at('2026-10-24T21:30:00Z'), $at('2026-10-24T22:00:00Z')],
            [$at('2026-10-24T20:00:00Z'), $at('2026-10-24T21:30:00Z')], // up to the one before in this list
            [$at('2026-10-24T12:00:00Z'), $at('2026-10-24T12:00:00Z')], // no time at all
        ]);

        self::assertCount(2, $busy->spans);
        self::assertEquals(
            [5 => [new Slot(1380, 1440)], 6 => [new Slot(0, 60), new Slot(230, 231)]],
            $busy->inWeek(new \DateTimeImmutable('2026-10-19'), $zone),
        );
    }
}
