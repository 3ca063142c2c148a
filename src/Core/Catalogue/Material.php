<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Something an exercise needs, and what a household has instead. */
final readonly class Material
{
    /** @param list<string> $instead household substitutes */
    public function __construct(
        public string $key,
        public string $label,
        public string $usedFor,
        public array $instead,
        public bool $isSmall,
    ) {
    }
}
