<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/**
 * Somebody who cannot say no has shown it, or was more restless or sleepier than usual. On two days running it may be a
 * body that is unwell: a doctor looks for pain, infection, bladder, bowels and medicine.
 */
final class TurnedAway
{
    private const DAYS = 2;
    /** What lies further back says nothing of how they are now. */
    private const WITHIN_DAYS = 4;

    public static function isForADoctor(SittingLog $log, \DateTimeImmutable $today): bool
    {
        $said = [];
        foreach (SittingLog::since($log->lines, $today->modify('-'.self::WITHIN_DAYS.' days')) as $line) {
            $day = $line->day->format('Y-m-d');
            $said[$day] = ($said[$day] ?? false)
                || SkipReason::TurnedAway === $line->reason
                || null !== $line->unlike;
        }
        ksort($said);
        $last = \array_slice($said, -self::DAYS);

        return self::DAYS === \count($last) && !\in_array(false, $last, true);
    }
}
