<?php

declare(strict_types=1);

namespace HandGarden\Core\Data;

/** Days and instants as they come in from outside: ones that are in the calendar, and of our time. */
final class Dates
{
    private const FIRST_YEAR = 1900;
    private const LAST_YEAR = 2199;

    /** @return ?\DateTimeImmutable midnight in UTC; null unless it is a day written as YYYY-MM-DD */
    public static function day(string $text): ?\DateTimeImmutable
    {
        if (1 !== preg_match('/^\d{4}-\d{2}-\d{2}$/D', $text)) {
            return null;
        }
        $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $text, new \DateTimeZone('UTC'));

        return false !== $day && $day->format('Y-m-d') === $text && self::isOfOurTime($day) ? $day : null;
    }

    /** @return ?\DateTimeImmutable in UTC; null unless it is a time such as 2026-11-24T09:30:00Z (RFC 3339) */
    public static function instant(string $text): ?\DateTimeImmutable
    {
        $offset = '(Z|[+-](0\d|1[0-4]):[0-5]\d)';
        if (1 !== preg_match(
            '/^(\d{4}-\d{2}-\d{2})T([01]\d|2[0-3]):[0-5]\d:[0-5]\d(\.\d{1,6})?'.$offset.'$/D',
            $text,
            $m,
        )) {
            return null;
        }

        return null === self::day($m[1])
            ? null
            : (new \DateTimeImmutable($text))->setTimezone(
                new \DateTimeZone('UTC'),
            );
    }

    private static function isOfOurTime(\DateTimeImmutable $day): bool
    {
        $year = (int) $day->format('Y');

        return $year >= self::FIRST_YEAR && $year <= self::LAST_YEAR;
    }
}
