<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

final readonly class HelperScript
{
    /**
     * @param list<ScriptPart> $parts
     * @param list<string>     $otherLines
     */
    public function __construct(
        public string $title,
        public string $manner,
        public string $kit,
        public array $parts,
        public array $otherLines,
    ) {
    }
}
