<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

/** Which clients somebody wants to see. */
final readonly class Listing
{
    /** @param string $words part of a name; empty: everybody */
    public function __construct(
        public string $clinicId,
        public string $staffId,
        public string $words = '',
        public bool $isArchive = false,
    ) {
    }
}
