<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/** How an item, or a chain in rounds, may be done more often: each step brings less than the one before. */
final readonly class Growth
{
    /**
     * @param string                    $key        of the item or the chain
     * @param non-empty-list<Increment> $increments
     */
    public function __construct(
        public string $key,
        public array $increments,
    ) {
    }

    /** What it gains over its price at most. */
    public function over(PriceSet $set): float
    {
        $gain = $most = 0.0;
        foreach ($this->increments as $step) {
            $gain += $set->gainOf($step);
            if ($gain > $most) {
                $most = $gain;
            }
        }

        return $most;
    }

    /** @return array{int, int, int} seconds, effort and quarter seconds of opening of the steps worth their price */
    public function taken(PriceSet $set): array
    {
        $sum = [0, 0, 0];
        foreach ($this->increments as $step) {
            if ($set->gainOf($step) <= 0.0) {
                break; // each further step brings less and takes as much
            }
            $sum = [$sum[0] + $step->seconds, $sum[1] + $step->effort, $sum[2] + $step->opens];
        }

        return $sum;
    }
}
