<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Layers of a whole picture and the window they are seen through, in millimetres. */
final readonly class Painting
{
    /**
     * @param list<Layer>                       $layers back to front
     * @param array{float, float, float, float} $window x, y, width, height
     */
    public function __construct(
        public array $layers,
        public array $window,
    ) {
    }
}
