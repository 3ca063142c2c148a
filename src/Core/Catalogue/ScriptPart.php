<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Words for a helper to read aloud with one exercise, and what to mind. */
final readonly class ScriptPart
{
    /** @param non-empty-list<string> $rungIds */
    public function __construct(
        public string $title,
        public array $rungIds,
        public string $words,
        public string $notes,
    ) {
    }
}
