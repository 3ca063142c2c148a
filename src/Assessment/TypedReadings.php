<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Measure\Reading;

/** What a measuring form says as readings, and what is wrong with it, by field. */
final readonly class TypedReadings
{
    /**
     * @param list<Reading>         $readings
     * @param array<string, string> $problems by field name
     */
    public function __construct(
        public array $readings,
        public array $problems,
    ) {
    }
}
