<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** What is lit, in which tints, and how fine it is drawn. */
final readonly class Look
{
    /**
     * @param list<string>          $focus     digits or limbs in the focus tint
     * @param array<string, string> $tints     of other digits or limbs
     * @param float                 $weight    of the ink
     * @param bool                  $marks     creases and nails
     * @param float                 $tolerance millimetres that a line may be off
     */
    public function __construct(
        public array $focus = [],
        public array $tints = [],
        public float $weight = 1.0,
        public bool $marks = true,
        public float $tolerance = Polyline::TOLERANCE,
    ) {
    }
}
