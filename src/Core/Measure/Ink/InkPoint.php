<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

/** One sample of a pointer: milliseconds since the sheet was opened, place in pixels of the sheet, pressure 0 to 1. */
final readonly class InkPoint
{
    public function __construct(
        public float $ms,
        public float $x,
        public float $y,
        public float $pressure = 0.5,
    ) {
    }
}
