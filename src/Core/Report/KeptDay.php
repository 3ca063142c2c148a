<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Phrase;

/** What one day of the week holds. */
final readonly class KeptDay
{
    /**
     * @param int          $weekday 1 is Monday
     * @param list<string> $times   as 9:30, one for each sitting
     * @param int          $minutes of one sitting
     * @param list<Phrase|string> $only names; empty: all of it
     */
    public function __construct(
        public int $weekday,
        public array $times,
        public int $minutes,
        public array $only,
        public string $routineId,
    ) {
    }
}
