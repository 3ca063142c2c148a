<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\Reading;

/** A reading with the id of its record. */
final readonly class KeptReading
{
    public function __construct(
        public string $id,
        public Reading $reading,
    ) {
    }
}
