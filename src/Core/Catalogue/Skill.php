<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Something that comes before a daily task, with the rung on which it is there. */
final readonly class Skill
{
    public function __construct(
        public string $words,
        public string $rungId,
    ) {
    }
}
