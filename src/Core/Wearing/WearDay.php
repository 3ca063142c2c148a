<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** One wear: on which day, for how long, and what it came to. */
final readonly class WearDay
{
    public function __construct(
        public \DateTimeImmutable $day,
        public int $minutes,
        public WearVerdict $verdict,
    ) {
    }
}
