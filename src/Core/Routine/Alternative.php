<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Words\Phrase;

/** What a routine would gain from one thing more. */
final readonly class Alternative
{
    /**
     * @param int          $gain of the objective, more than nothing
     * @param list<string> $adds names of what would come in
     */
    public function __construct(
        public Phrase $with,
        public int $gain,
        public array $adds,
    ) {
    }
}
