<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** Something that might have been in the routine, and why it is not. */
final readonly class LeftOut
{
    public function __construct(
        public string $label,
        public string $reason,
    ) {
    }
}
