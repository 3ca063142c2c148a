<?php

declare(strict_types=1);

namespace HandGarden\Home;

/** What a person at home sees beside today's plan. */
final readonly class Seen
{
    /**
     * @param bool $changes  what the therapist changed in the plan
     * @param bool $diary    of the client
     * @param bool $messages those of the client too, not only their own
     * @param bool $alerts   what became of signs that something is wrong
     * @param bool $letter   of the therapist to the client
     * @param bool $block    how it goes at the end of a block is asked
     */
    public function __construct(
        public bool $changes,
        public bool $diary,
        public bool $messages,
        public bool $alerts,
        public bool $letter,
        public bool $block,
    ) {
    }
}
