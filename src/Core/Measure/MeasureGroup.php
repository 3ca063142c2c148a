<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** Measures that stand together on the form; `shownBy` is the choice of what to measure that shows them. */
final readonly class MeasureGroup
{
    public function __construct(
        public string $key,
        public string $title,
        public string $shownBy,
    ) {
    }
}
