<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** Numbers that are called. */
final readonly class Calls
{
    public function __construct(
        public int $from,
        public int $to,
        public int $number,
        public float $intervalSeconds,
    ) {
    }
}
