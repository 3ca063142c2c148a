<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** At what times of day a sitting is tried, best first. Clinic settings behind these defaults. */
final class Times
{
    /** Minutes after a dose at which it is usually felt; the client's own experience wins. */
    public const FELT_AFTER = 45;
    /** How long after that the window is searched. */
    private const WINDOW = 120;
    private const STEP = 15;
    private const BEFORE_BREAKFAST = 7 * 60;
    private const OF_DAY = [10 * 60, 14 * 60, 16 * 60 + 30, 18 * 60 + 30];
    private const FIRST = 7 * 60;
    private const LAST = 21 * 60;

    /** @return list<int> starts in minutes of the day */
    public static function from(WeekInput $input): array
    {
        $starts = [];
        if ($input->followsMedicine()) {
            foreach ($input->doseMinutes as $dose) {
                $felt = $dose + self::FELT_AFTER;
                array_push($starts, ...range($felt, $felt + self::WINDOW, self::STEP));
            }
        } else {
            $starts = [...($input->isStiff ? [self::BEFORE_BREAKFAST] : []), ...self::OF_DAY];
        }
        for ($start = self::FIRST; $start < self::LAST; $start += 2 * self::STEP) {
            $starts[] = $start; // where nothing better is free
        }

        return array_values(array_unique(array_filter($starts, self::isOfTheDay(...))));
    }

    private static function isOfTheDay(int $start): bool
    {
        return $start >= self::FIRST && $start < self::LAST;
    }
}
