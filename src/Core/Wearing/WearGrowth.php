<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/**
 * Whether something may be worn longer: never by itself, and a therapist is asked only after clean looks on two days
 * at the time it is worn now, with nothing else since.
 */
final readonly class WearGrowth
{
    public const CLEAN_DAYS = 2;

    private function __construct(
        public bool $isAsked,
        public int $cleanDays,
    ) {
    }

    /**
     * @param int           $step index into the steps of what is worn
     * @param list<WearDay> $days since this step began, oldest first
     */
    public static function of(Worn $worn, int $step, array $days): self
    {
        $clean = [];
        foreach ($days as $day) {
            if (WearVerdict::Clean === $day->verdict && self::wasWorn($worn, $step, $day)) {
                $clean[$day->day->format('Y-m-d')] = true;
            } elseif (WearVerdict::Clean !== $day->verdict) {
                $clean = [];
            }
        }

        return new self(
            isAsked: \count($clean) >= self::CLEAN_DAYS && isset($worn->steps()[$step + 1]),
            cleanDays: \count($clean),
        );
    }

    /** What was taken off early shows nothing of the time that was planned. */
    private static function wasWorn(Worn $worn, int $step, WearDay $day): bool
    {
        $planned = $worn->steps()[$step]->minutes ?? null;

        return null === $planned || $day->minutes >= $planned;
    }
}
