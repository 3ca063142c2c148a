<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/**
 * What goes with worse days. Mean severity with and without each factor; whole days change places; the largest of all
 * factors is what each is held against, step by step from the largest down (P. H. Westfall and S. S. Young,
 * Resampling-Based Multiple Testing, Wiley 1993), so that looking at many factors does not find one by itself.
 */
final readonly class Triggers
{
    public const CLAIMED_BELOW = 0.05;
    public const DRAWS = 1999;
    /** Less than this many days of diary say nothing. */
    public const LEAST_DAYS = 14;

    /**
     * @param list<Found>  $found    largest difference first
     * @param list<Factor> $tooFew   of which one side has too few entries or days
     * @param list<Factor> $compared
     */
    private function __construct(
        public array $found,
        public array $tooFew,
        public array $compared,
        public int $entries,
        public int $days,
    ) {
    }

    /**
     * @param list<Entry>  $entries in any order; what is not compared is left aside
     * @param list<Factor> $factors that the diary asks
     */
    public static function in(array $entries, array $factors, int $seed, int $draws = self::DRAWS): self
    {
        $compared = array_values(array_filter($entries, static fn (Entry $e): bool => $e->isCompared()));
        $splits = $tooFew = [];
        foreach ($factors as $factor) {
            $split = Split::of($factor, $compared);
            $split->isEnough($compared) ? $splits[] = $split : $tooFew[] = $factor;
        }
        $severities = array_map(static fn (Entry $e): int => $e->severity, $compared);
        $chances = self::chances(
            $splits,
            $severities,
            (new DayOrders($compared))->each($severities, $draws, $seed),
        );
        $found = [];
        foreach ($splits as $nth => $split) {
            if ($chances[$nth] < self::CLAIMED_BELOW && $split->difference($severities) > 0.0) {
                $found[] = new Found(
                    $split->factor,
                    Split::mean($split->with, $severities),
                    Split::mean($split->without, $severities),
                    threshold: $split->threshold,
                    chance: $chances[$nth],
                    entriesWith: \count($split->with),
                    entriesWithout: \count($split->without),
                );
            }
        }
        usort($found, static fn (Found $a, Found $b): int => $b->difference() <=> $a->difference());

        return new self(
            $found,
            $tooFew,
            array_map(static fn (Split $s): Factor => $s->factor, $splits),
            entries: \count($compared),
            days: \count(array_unique(array_map(static fn (Entry $e): string => $e->dayKey(), $compared))),
        );
    }

    /** Nothing could be compared yet. */
    public function isTooFew(): bool
    {
        return [] === $this->compared || $this->days < self::LEAST_DAYS;
    }

    /**
     * @param list<Split>               $splits
     * @param list<int>                 $severities
     * @param iterable<array<int, int>> $orders
     *
     * @return list<float> adjusted, in the order of the splits
     */
    private static function chances(array $splits, array $severities, iterable $orders): array
    {
        if ([] === $splits) {
            return [];
        }
        $true = array_map(static fn (Split $s): float => $s->statistic($severities), $splits);
        arsort($true);
        $ranked = array_reverse(
            array_keys($true),
        ); // smallest first, so that the largest so far is that of the rest
        $reached = array_fill_keys($ranked, 0);
        $count = 0;
        foreach ($orders as $drawn) {
            ++$count;
            $largest = -\INF;
            foreach ($ranked as $nth) {
                $largest = max($largest, $splits[$nth]->statistic($drawn));
                $reached[$nth] += $largest >= $true[$nth] - 1e-9 ? 1 : 0;
            }
        }
        $chances = [];
        $least = 0.0;
        foreach (array_keys($true) as $nth) {
            // none is likelier to be by chance than one with a smaller difference
            $least = max($least, min(1.0, ($reached[$nth] + 1) / ($count + 1)));
            $chances[$nth] = $least;
        }
        ksort($chances);

        return array_values($chances);
    }
}
