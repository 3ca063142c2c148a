<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** What stands under one heading. */
final readonly class Paragraph
{
    /** @param list<Sentence> $sentences empty: nothing is known of it, and that is said */
    public function __construct(
        public Heading $heading,
        public array $sentences,
    ) {
    }
}
