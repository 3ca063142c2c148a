<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Cards to look at, and whether nothing grows until they are answered. */
final readonly class ReviewsFound
{
    /** @param list<Proposal> $proposals */
    public function __construct(
        public array $proposals,
        public bool $holdAll,
    ) {
    }
}
