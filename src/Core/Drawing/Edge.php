<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** A contour that is being followed: whose it is, where it is cut off, how softly it is inked. */
final readonly class Edge
{
    /** @param array{float, float, float, float}|null $cut a point and the direction beyond which nothing is drawn */
    public function __construct(
        public string $group,
        public string $body,
        public ?array $cut,
        public float $soft,
    ) {
    }
}
