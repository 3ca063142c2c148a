<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

/**
 * Days on which something was measured, thinned out evenly: a page draws as many points as an eye tells apart, however
 * often a hand was measured. The first and the last day always stay.
 */
final class MeasuringDays
{
    public const SHOWN = 10;

    /**
     * @param list<string> $days oldest first
     *
     * @return list<string>
     */
    public static function thinned(array $days, int $most = self::SHOWN): array
    {
        $last = \count($days) - 1;
        if ($last < $most) {
            return $days;
        }
        $kept = [];
        for ($i = 0; $i < $most; ++$i) {
            $kept[] = $days[(int) round($i * $last / ($most - 1))];
        }

        return $kept;
    }
}
