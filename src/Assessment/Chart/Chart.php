<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;

/** A picture of figures as SVG elements, with what it says in words for those who do not see it. */
final readonly class Chart
{
    /**
     * @param Phrase|Joined|string $title       a text is a name or somebody's own words
     * @param list<array{tag: string, attributes: array<string, string>, text: Phrase|string}> $marks
     */
    public function __construct(
        public Phrase|Joined|string $title,
        public Phrase|Joined|string $description,
        public float $width,
        public float $height,
        public array $marks,
    ) {
    }
}
