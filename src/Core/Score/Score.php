<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

/** A sitting written down cue by cue before it is played. */
final readonly class Score
{
    /**
     * @param list<Stretch> $stretches in the order of the sitting
     * @param int           $seed      of what is called in no order
     */
    public function __construct(
        public array $stretches,
        public int $seed,
    ) {
    }
}
