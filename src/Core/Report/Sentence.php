<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Phrase;

/** One sentence with what it rests on. */
final readonly class Sentence
{
    /**
     * @param non-empty-list<Fact> $facts
     * @param bool                 $isOwed lost ground, a symptom or a gap: it stands in every report of its time
     */
    public function __construct(
        public Phrase $words,
        public array $facts,
        public bool $isOwed = false,
    ) {
    }
}
