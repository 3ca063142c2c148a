<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use Sabre\VObject\Component\VCalendar;

/** A time zone as a calendar file has to define it (RFC 5545, 3.6.5): the clock changes about the days of the file. */
final class ZoneFormat
{
    private const DAY_SECONDS = 86_400;

    /** Nothing is added for UTC, whose times need no zone. */
    public static function define(
        VCalendar $calendar,
        \DateTimeZone $zone,
        \DateTimeImmutable $firstDay,
        int $days,
    ): void {
        if ('UTC' === $zone->getName()) {
            return;
        }
        $begin = $firstDay->getTimestamp() - self::DAY_SECONDS;
        $changes = $zone->getTransitions(
            $begin,
            $begin + ($days + 2) * self::DAY_SECONDS,
        );
        if ([] === $changes) {
            return;
        }
        $definition = $calendar->createComponent('VTIMEZONE');
        $definition->add('TZID', $zone->getName());
        $before = $changes[0]['offset'];
        foreach ($changes as $change) {
            $definition->add($calendar->createComponent($change['isdst'] ? 'DAYLIGHT' : 'STANDARD', [
                // the clock as it stood before the change
                'DTSTART' => gmdate('Ymd\THis', $change['ts'] + $before),
                'TZOFFSETFROM' => self::offset($before),
                'TZOFFSETTO' => self::offset($change['offset']),
                'TZNAME' => $change['abbr'],
            ]));
            $before = $change['offset'];
        }
        $calendar->add($definition);
    }

    private static function offset(int $seconds): string
    {
        return \sprintf(
            '%s%02d%02d',
            $seconds < 0 ? '-' : '+',
            intdiv(abs($seconds), 3600),
            intdiv(abs($seconds) % 3600, 60),
        );
    }
}
