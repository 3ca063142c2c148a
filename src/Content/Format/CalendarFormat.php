<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Week\BusyTimes;
use HandGarden\Core\Week\Week;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Property\ICalendar\Duration;
use Sabre\VObject\Reader;
use Sabre\VObject\Settings;

/** iCalendar (RFC 5545) in and out: a client's busy times, a week of sittings. */
final class CalendarFormat
{
    public const MOST_BYTES = 500_000;
    private const MOST_EVENTS = 2_000;
    private const MOST_BUSY = 5_000;

    /**
     * What is taken between two midnights, repeated events included; cancelled ones and those marked as free are not.
     * Hostile rules can make this endless: `CalendarReading` is for what comes from outside.
     *
     * @throws InvalidData
     */
    public static function busy(
        string $text,
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        \DateTimeZone $zone,
    ): BusyTimes {
        Settings::$maxRecurrences = -1; // old ones are many and harmless; time and memory are what is limited
        $calendar = self::read($text);
        try {
            $spans = self::spans($calendar, $from, $to, $zone);
        } catch (InvalidData $e) {
            throw $e;
        } catch (\Throwable) { // the library says in many ways that it cannot make sense of an event
            throw InvalidData::at('calendar', 'holds an event that cannot be made sense of');
        }

        return BusyTimes::from($spans);
    }

    /**
     * @return list<array{int, int}> seconds since 1970
     *
     * @throws InvalidData
     */
    private static function spans(
        VCalendar $calendar,
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        \DateTimeZone $zone,
    ): array {
        $expanded = $calendar->expand(
            \DateTime::createFromImmutable($from),
            \DateTime::createFromImmutable($to),
            $zone,
        );
        $spans = [];
        foreach ($expanded->select('VEVENT') as $event) {
            if (!$event instanceof VEvent || self::isFree($event)) {
                continue;
            }
            [$start, $end] = self::times($event, $zone);
            $spans[] = [
                max($from->getTimestamp(), $start->getTimestamp()),
                min($to->getTimestamp(), $end->getTimestamp()),
            ];
        }
        if (\count($spans) > self::MOST_BUSY) {
            throw InvalidData::at(
                'calendar',
                \sprintf('is taken more than %d times in a year', self::MOST_BUSY),
            );
        }

        return $spans;
    }

    private static function isFree(VEvent $event): bool
    {
        return 'CANCELLED' === self::text($event, 'STATUS') || 'TRANSPARENT' === self::text(
            $event,
            'TRANSP',
        );
    }

    /** The week as events that hold nothing of the person: what to do, in order. */
    public static function week(
        Week $week,
        string $name,
        \DateTimeZone $zone,
        \DateTimeImmutable $now,
    ): string {
        $calendar = new VCalendar(['PRODID' => '-//Hand Garden//Week//EN']);
        ZoneFormat::define(
            $calendar,
            $zone,
            $week->days[0]->day,
            \count($week->days),
        );
        foreach ($week->days as $day) {
            $midnight = new \DateTimeImmutable($day->day->format('Y-m-d'), $zone);
            $at = static fn (int $minutes): \DateTimeImmutable => $midnight->setTime(
                intdiv($minutes, 60),
                $minutes % 60,
            );
            foreach ($day->slots as $nth => $slot) {
                $calendar->add('VEVENT', [
                    'UID' => self::uid($name, $day->day, $nth),
                    'DTSTAMP' => $now,
                    'DTSTART' => $at($slot->from),
                    'DTEND' => $at($slot->to),
                    'SUMMARY' => 'Hand exercises',
                    'DESCRIPTION' => implode(
                        "\n",
                        array_map(
                            static fn (Item $i): string => $i->rung->name,
                            $day->items,
                        ),
                    ),
                ]);
            }
        }

        return $calendar->serialize();
    }

    /** The first sitting of a day keeps the name that it had when there was one. */
    private static function uid(string $name, \DateTimeImmutable $day, int $nth): string
    {
        return hash('sha256', $name.'|'.$day->format('Y-m-d').(0 === $nth ? '' : '|'.$nth)).'@hand-garden';
    }

    private static function read(string $text): VCalendar
    {
        if (\strlen($text) > self::MOST_BYTES) {
            throw InvalidData::at('calendar', 'is larger than 500 kB');
        }
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
        } catch (\Throwable) { // what is no calendar fails in more ways than one
            throw InvalidData::at('calendar', 'is not an iCalendar file');
        }
        if (!$calendar instanceof VCalendar) {
            throw InvalidData::at('calendar', 'is not an iCalendar file');
        }
        if (\count($calendar->select('VEVENT')) > self::MOST_EVENTS) {
            throw InvalidData::at(
                'calendar',
                \sprintf('holds more than %d events', self::MOST_EVENTS),
            );
        }

        return $calendar;
    }

    /** @return array{\DateTimeImmutable, \DateTimeImmutable} */
    private static function times(VEvent $event, \DateTimeZone $zone): array
    {
        $start = self::property($event, 'DTSTART');
        if (!$start instanceof DateTime) {
            throw InvalidData::at('calendar', 'holds an event without a start');
        }
        $end = self::property($event, 'DTEND');
        $duration = self::property($event, 'DURATION');
        $from = \DateTimeImmutable::createFromInterface($start->getDateTime($zone));
        $to = match (true) {
            $end instanceof DateTime => \DateTimeImmutable::createFromInterface(
                $end->getDateTime($zone),
            ),
            $duration instanceof Duration => $from->add($duration->getDateInterval()),
            default => $start->hasTime() ? $from : $from->modify('+1 day'),
        };

        return [$from, $to];
    }

    private static function property(VEvent $event, string $name): ?Property
    {
        $found = $event->select($name)[0] ?? null;

        return $found instanceof Property ? $found : null;
    }

    private static function text(VEvent $event, string $name): string
    {
        return mb_strtoupper((string) self::property($event, $name)?->getValue());
    }
}
