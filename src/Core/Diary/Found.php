<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** A factor with which it is worse, beyond what chance makes of so many factors: worth trying, and no cause. */
final readonly class Found
{
    /**
     * @param float  $with      mean severity with the factor
     * @param float  $without   and without it
     * @param ?float $threshold what parts the two sides, in the unit of the factor
     * @param float  $chance    adjusted over all factors that were compared
     */
    public function __construct(
        public Factor $factor,
        public float $with,
        public float $without,
        public ?float $threshold,
        public float $chance,
        public int $entriesWith,
        public int $entriesWithout,
    ) {
    }

    public function difference(): float
    {
        return $this->with - $this->without;
    }
}
