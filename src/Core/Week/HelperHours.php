<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** When the helper is there, as typed: `Mon-Sat 8:00-12:00; Tue 16:00-18:00`. */
final class HelperHours
{
    private const DAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];

    /**
     * @return array<int, list<Slot>> by day of the week; empty: nothing was said
     *
     * @throws InvalidWeek naming the part that cannot be read
     */
    public static function parse(string $text): array
    {
        $hours = [];
        foreach (explode(';', str_replace("\n", ';', $text)) as $part) {
            if ('' === trim($part)) {
                continue;
            }
            if (
                1 !== preg_match(
                    '/^\s*([a-z]{3})\w*\s*(?:-\s*([a-z]{3})\w*)?\s+(\d{1,2})[:.](\d\d)\s*-\s*(\d{1,2})[:.](\d\d)\s*$/i',
                    $part,
                    $found,
                )
            ) {
                throw InvalidWeek::because('not_like_hours', ['part' => trim($part)]);
            }
            $from = self::day($found[1]);
            $to = '' === $found[2] ? $from : self::day($found[2]);
            if (
                (int) $found[3] > 24
                || (int) $found[4] > 59
                || (int) $found[5] > 24
                || (int) $found[6] > 59
            ) {
                throw InvalidWeek::because('no_time', ['part' => trim($part)]);
            }
            $begins = 60 * (int) $found[3] + (int) $found[4];
            $ends = 60 * (int) $found[5] + (int) $found[6];
            if ($begins >= $ends) {
                throw InvalidWeek::because('backwards', ['part' => trim($part)]);
            }
            $slot = new Slot($begins, $ends);
            for ($day = $from;; $day = ($day + 1) % 7) {
                $hours[$day][] = $slot;
                if ($day === $to) {
                    break;
                }
            }
        }
        ksort($hours);

        return $hours;
    }

    private static function day(string $name): int
    {
        $day = array_search(mb_strtolower($name), self::DAYS, true);

        return \is_int($day)
            ? $day
            : throw InvalidWeek::because('no_day', ['name' => $name]);
    }
}
