<?php

declare(strict_types=1);

namespace HandGarden\Core\WhatIf;

/** What is assumed of the days to come. */
final readonly class Assumed
{
    /**
     * @param float $adherence   share of scheduled items that are met, 0 to 1; the draws of one seed nest: what is
     *                           met at 60 % is met at 80 % too
     * @param int   $daysPerWeek 1 to 7
     */
    public function __construct(
        public float $adherence,
        public int $daysPerWeek,
        public int $seed,
    ) {
    }
}
