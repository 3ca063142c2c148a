<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/**
 * One thing that is tried for two weeks, held against the two weeks before by changing whole days: adjusted over all
 * trials of the plan, so that trying often enough does not find something by itself.
 */
final readonly class Trial
{
    public const DAYS = 14;

    private function __construct(
        public TrialVerdict $verdict,
        public ?float $before,
        public ?float $during,
    ) {
    }

    /**
     * @param list<Entry>              $entries
     * @param \DateTimeImmutable       $from    first day of the trial
     * @param list<\DateTimeImmutable> $changes days on which something else changed
     * @param int                      $trials  of this plan, this one among them
     */
    public static function judge(
        array $entries,
        \DateTimeImmutable $from,
        array $changes,
        int $trials,
        int $seed,
        int $draws = Triggers::DRAWS,
    ): self {
        $start = $from->modify('-'.self::DAYS.' days');
        $end = $from->modify('+'.self::DAYS.' days');
        foreach ($changes as $day) {
            if ($day >= $start && $day < $end) {
                return new self(TrialVerdict::NotComparable, null, null);
            }
        }
        $compared = array_values(array_filter(
            $entries,
            static fn (Entry $e): bool => $e->isCompared() && $e->day >= $start && $e->day < $end,
        ));
        $before = $during = [];
        foreach ($compared as $place => $entry) {
            $entry->day < $from ? $before[] = $place : $during[] = $place;
        }
        if (!self::isEnough($before, $compared) || !self::isEnough($during, $compared)) {
            return new self(TrialVerdict::TooFew, null, null);
        }
        $severities = array_map(static fn (Entry $e): int => $e->severity, $compared);
        $true = self::less($before, $during, $severities);
        $reached = $count = 0;
        foreach ((new DayOrders($compared))->each($severities, $draws, $seed) as $drawn) {
            ++$count;
            $reached += self::less($before, $during, $drawn) >= $true - 1e-9 ? 1 : 0;
        }
        $chance = min(1.0, $trials * ($reached + 1) / ($count + 1));

        return new self(
            $chance < Triggers::CLAIMED_BELOW ? TrialVerdict::Less : TrialVerdict::NoClearDifference,
            Split::mean($before, $severities),
            Split::mean($during, $severities),
        );
    }

    /**
     * How much less it is on trial days.
     *
     * @param list<int>       $before     places
     * @param list<int>       $during     places
     * @param array<int, int> $severities by place
     */
    private static function less(array $before, array $during, array $severities): float
    {
        return Split::mean($before, $severities) - Split::mean($during, $severities);
    }

    /**
     * @param list<int>   $places
     * @param list<Entry> $entries
     */
    private static function isEnough(array $places, array $entries): bool
    {
        $days = array_unique(array_map(static fn (int $at): string => $entries[$at]->dayKey(), $places));

        return \count($places) >= Split::LEAST_ENTRIES && \count($days) >= Split::LEAST_DAYS;
    }
}
