<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Week\Slot;
use HandGarden\Core\Week\Week;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\ParseException;
use Sabre\VObject\Property;
use Sabre\VObject\Property\ICalendar\DateTime;
use Sabre\VObject\Property\ICalendar\Duration;
use Sabre\VObject\Reader;

/** iCalendar (RFC 5545) in and out: a client's busy times, a week of sittings. */
final class CalendarFormat
{
    public const MOST_BYTES = 500_000;
    private const MOST_EVENTS = 2_000;

    /** @throws InvalidData when it is no calendar */
    public static function check(string $text): void
    {
        self::read($text);
    }

    /**
     * What of a week is taken, repeated events included; cancelled ones and those marked as free are not.
     *
     * @return array<int, list<Slot>> by day of the week, 0 is Monday
     *
     * @throws InvalidData
     */
    public static function busy(string $text, \DateTimeImmutable $monday, \DateTimeZone $zone): array
    {
        $from = new \DateTimeImmutable($monday->format('Y-m-d'), $zone);
        $to = $from->modify('+7 days');
        $busy = [];
        foreach (
            self::read($text)->expand(
                \DateTime::createFromImmutable($from),
                \DateTime::createFromImmutable($to),
                $zone,
            )->select('VEVENT') as $event
        ) {
            if (
                !$event instanceof VEvent
                || 'CANCELLED' === self::text($event, 'STATUS')
                || 'TRANSPARENT' === self::text($event, 'TRANSP')
            ) {
                continue;
            }
            [$start, $end] = self::times($event, $zone);
            for ($day = 0; $day < 7; ++$day) {
                $midnight = $from->modify("+$day days");
                $first = max(0, self::minutes($midnight, $start));
                $last = min(1440, self::minutes($midnight, $end));
                if ($first < $last) {
                    $busy[$day][] = new Slot($first, $last);
                }
            }
        }
        ksort($busy);

        return $busy;
    }

    /** The week as events that hold nothing of the person: what to do, in order. */
    public static function week(
        Week $week,
        string $name,
        \DateTimeZone $zone,
        \DateTimeImmutable $now,
    ): string {
        $calendar = new VCalendar(['PRODID' => '-//Hand Garden//Week//EN']);
        foreach ($week->days as $day) {
            if (null === $day->slot) {
                continue;
            }
            $midnight = new \DateTimeImmutable($day->day->format('Y-m-d'), $zone);
            $at = static fn (int $minutes): \DateTimeImmutable => $midnight->setTime(
                intdiv($minutes, 60),
                $minutes % 60,
            );
            $calendar->add('VEVENT', [
                'UID' => hash('sha256', $name.'|'.$day->day->format('Y-m-d')).'@hand-garden',
                'DTSTAMP' => $now,
                'DTSTART' => $at($day->slot->from),
                'DTEND' => $at($day->slot->to),
                'SUMMARY' => 'Hand exercises',
                'DESCRIPTION' => implode(
                    "\n",
                    array_map(static fn (Item $i): string => $i->rung->name, $day->items),
                ),
            ]);
        }

        return $calendar->serialize();
    }

    private static function read(string $text): VCalendar
    {
        if (\strlen($text) > self::MOST_BYTES) {
            throw InvalidData::at('calendar', 'is larger than 500 kB');
        }
        try {
            $calendar = Reader::read($text, Reader::OPTION_FORGIVING);
        } catch (ParseException) {
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

    /** Minutes on the clock of that day, so that a change of summer time moves nothing. */
    private static function minutes(\DateTimeImmutable $midnight, \DateTimeImmutable $moment): int
    {
        $local = $moment->setTimezone($midnight->getTimezone());
        $days = (int) $midnight->diff(
            new \DateTimeImmutable($local->format('Y-m-d'), $midnight->getTimezone()),
        )->format('%r%a');

        return 1440 * $days + 60 * (int) $local->format('G') + (int) $local->format('i');
    }

    private static function text(VEvent $event, string $name): string
    {
        return mb_strtoupper((string) self::property($event, $name)?->getValue());
    }
}
