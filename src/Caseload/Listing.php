<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

/** Which clients somebody wants to see. */
final readonly class Listing
{
    /**
     * @param list<string> $staffIds whose clients come first: one's own, and those of whom one stands in for
     * @param string       $words    part of a name; empty: everybody
     * @param string       $of       only those of this therapist; empty: of all
     * @param bool         $isLead   what waits too long is theirs as well
     */
    public function __construct(
        public string $clinicId,
        public array $staffIds,
        public string $words = '',
        public bool $isArchive = false,
        public bool $isLead = false,
        public string $of = '',
    ) {
    }
}
