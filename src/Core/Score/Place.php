<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Anatomy\Side;

/** Where in an item a cue stands. */
final readonly class Place
{
    /**
     * @param int     $item       of the stretch, from 0
     * @param ?Side   $side       whose hand leads; null: both, or no matter
     * @param int     $set        from 1, of those of one hand; 0: before the first
     * @param int     $repetition of a unit in its set, from 1; 0: of none
     * @param ?string $unit       as the walk names it
     * @param ?string $otherUnit  of the second hand, where it has one of its own
     */
    public function __construct(
        public int $item,
        public ?Side $side = null,
        public int $set = 0,
        public int $repetition = 0,
        public ?string $unit = null,
        public ?string $otherUnit = null,
    ) {
    }
}
