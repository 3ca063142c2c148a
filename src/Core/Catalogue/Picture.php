<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * How a rung is drawn: poses of the pose file, the camera they are best seen by, the place whose way the arrow shows,
 * and what lies around the hand. `table` is the part that rests on it: palm, forearm or edge.
 */
final readonly class Picture
{
    public function __construct(
        public string $startPose,
        public string $endPose,
        public string $view,
        public string $traced,
        public ?string $thing = null,
        public ?string $otherHand = null,
        public ?string $table = null,
        public ?string $zones = null,
        public ?string $focus = null,
    ) {
    }
}
