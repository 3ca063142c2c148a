<?php

declare(strict_types=1);

namespace HandGarden\Core\Words;

/** Several things said as one. */
final readonly class Joined
{
    /** @param list<string|Phrase|self> $parts a plain text is a name or somebody's own words */
    public function __construct(
        public Joint $by,
        public array $parts,
    ) {
    }
}
