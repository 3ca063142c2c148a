<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** One half of a slow turning of the forearm, and how firmly the hand presses in it. */
final readonly class ReleaseTurn
{
    /** @param float $pressure 0 none to 1 firm */
    public function __construct(
        public string $words,
        public int $seconds,
        public float $pressure,
    ) {
    }
}
