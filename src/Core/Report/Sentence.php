<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;

/** One sentence with what it rests on. */
final readonly class Sentence
{
    /**
     * @param non-empty-list<Fact>       $facts
     * @param bool                       $isOwed   lost ground, a symptom or a gap: it stands in every report of its
     *     time
     * @param list<Phrase|Joined|string> $cells    the same as a row of a table, as Heading::columns() says; empty: none
     * @param bool                       $isOfThen how it stood on the day of writing: what comes later does not
     *     contradict it
     */
    public function __construct(
        public Phrase $words,
        public array $facts,
        public bool $isOwed = false,
        public array $cells = [],
        public bool $isOfThen = false,
    ) {
    }
}
