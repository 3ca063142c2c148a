<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** A tempo that grows. */
final readonly class Beat
{
    /**
     * @param int $start beats a minute to begin with
     * @param int $step  beats a minute more at a time
     * @param int $cap   beats a minute at most
     * @param int $each  beats for one cue
     */
    public function __construct(
        public int $start,
        public int $step,
        public int $cap,
        public int $each = 1,
    ) {
    }
}
