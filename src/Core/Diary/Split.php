<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

use HandGarden\Core\Measure\Statistics;

/** The entries that know of a factor, on its two sides: with it, and without. Places are those of the entries. */
final readonly class Split
{
    public const LEAST_ENTRIES = 10;
    public const LEAST_DAYS = 5;

    /**
     * @param list<int> $with
     * @param list<int> $without
     * @param ?float    $threshold the client's own median, in the unit of the factor; null: answered by yes or no
     */
    private function __construct(
        public Factor $factor,
        public array $with,
        public array $without,
        public ?float $threshold,
    ) {
    }

    /** @param list<Entry> $entries */
    public static function of(Factor $factor, array $entries): self
    {
        $known = [];
        foreach ($entries as $place => $entry) {
            if (isset($entry->answers[$factor->value])) {
                $known[$place] = $entry->answers[$factor->value];
            }
        }
        $threshold = $factor->isYesNo() || [] === $known ? null : Statistics::median(array_values($known));
        $with = $without = [];
        foreach ($known as $place => $value) {
            $has = match (true) {
                null === $threshold => $value > 0.0,
                $factor->isOfTooLittle() => $value < $threshold,
                default => $value > $threshold,
            };
            $has ? $with[] = $place : $without[] = $place;
        }

        return new self($factor, $with, $without, $threshold);
    }

    /**
     * @param list<Entry> $entries
     *
     * @return bool both sides have enough entries on enough days
     */
    public function isEnough(array $entries): bool
    {
        foreach ([$this->with, $this->without] as $side) {
            $days = array_unique(array_map(static fn (int $at): string => $entries[$at]->dayKey(), $side));
            if (\count($side) < self::LEAST_ENTRIES || \count($days) < self::LEAST_DAYS) {
                return false;
            }
        }

        return true;
    }

    /**
     * How much worse it is with the factor, in points of severity.
     *
     * @param array<int, int> $severities by place
     */
    public function difference(array $severities): float
    {
        return self::mean($this->with, $severities) - self::mean($this->without, $severities);
    }

    /**
     * The difference by what chance alone makes of so many entries, so that a factor with few on one side does not
     * drown the others.
     *
     * @param array<int, int> $severities by place
     */
    public function statistic(array $severities): float
    {
        $with = \count($this->with);
        $without = \count($this->without);

        return $this->difference($severities) * sqrt($with * $without / ($with + $without));
    }

    /**
     * @param list<int>       $places
     * @param array<int, int> $severities by place
     */
    public static function mean(array $places, array $severities): float
    {
        $sum = 0;
        foreach ($places as $place) {
            $sum += $severities[$place];
        }

        return $sum / \count($places);
    }
}
