<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** How a number that conditions ask for is found among the readings. */
final readonly class NumberFact
{
    /** @param float $sign -1 where conditions count the other way round than readings do */
    public function __construct(
        public string $code,
        public string $readingCode,
        public ?Mode $mode = null,
        public float $sign = 1.0,
    ) {
    }
}
