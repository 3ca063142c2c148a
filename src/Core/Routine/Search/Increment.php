<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/** What one further step of an amount brings and takes. */
final readonly class Increment
{
    /**
     * @param int $effort seconds times intensity
     * @param int $opens  quarter seconds of opening work less those of gripping
     */
    public function __construct(
        public int $points,
        public int $seconds,
        public int $effort,
        public int $opens,
    ) {
    }
}
