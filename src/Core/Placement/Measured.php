<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Screening\Screening;

/** What was found: measures, observations and try-outs, and what was asked. */
final readonly class Measured
{
    public function __construct(
        public Readings $readings,
        public Screening $screening,
        public ?Injection $injection = null,
    ) {
    }
}
