<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/** Where a partly made sitting stands. */
final readonly class State
{
    /**
     * @param list<Step>   $steps
     * @param list<Growth> $growths how its items may be done more often
     * @param list<float>  $extras  what that gains over its price, at each set of prices there was
     */
    public function __construct(
        public array $steps = [],
        public int $points = 0,
        public int $seconds = 0,
        public int $effort = 0,
        public int $homeItems = 0,
        public int $gives = 0,
        public int $keys = 0,
        public int $areas = 0,
        public int $opens = 0,
        public int $grips = 0,
        public int $parts = 0,
        public int $heavyBefore = 0,
        public int $heavyLast = 0,
        public int $posture = 0,
        public array $growths = [],
        public array $extras = [],
        public int $homeKeys = 0,
        public int $homeHalves = 0,
        public int $frame = 0,
        public int $frameItems = 0,
    ) {
    }
}
