<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

/** Something that must not happen, and did. */
final readonly class Violation
{
    public function __construct(
        public string $rule,
        public int $day,
        public string $what,
    ) {
    }
}
