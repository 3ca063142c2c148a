<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

/** A picture of figures as SVG elements, with what it says in words for those who do not see it. */
final readonly class Chart
{
    /** @param list<array{tag: string, attributes: array<string, string>, text: string}> $marks */
    public function __construct(
        public string $title,
        public string $description,
        public float $width,
        public float $height,
        public array $marks,
    ) {
    }
}
