<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

/** One client on a list. */
final readonly class CaseloadRow
{
    /**
     * @param string   $about   their story, or their conditions
     * @param ?Summary $summary null: never worked out yet
     * @param bool     $isStale what it says may have changed and is being renewed
     */
    public function __construct(
        public string $clientId,
        public string $name,
        public string $about,
        public bool $isOwn,
        public Group $group,
        public ?Summary $summary,
        public bool $isStale,
        public bool $hasFailed,
    ) {
    }
}
