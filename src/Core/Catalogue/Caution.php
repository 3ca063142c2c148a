<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition;

/** Something that bars a rung while its condition is true; without a condition it is a note shown at set-up. */
final readonly class Caution
{
    /** @param string $key of the caution or of the gate it comes from */
    public function __construct(
        public string $phrase,
        public ?Condition $blocksWhile,
        public string $key = '',
    ) {
    }
}
