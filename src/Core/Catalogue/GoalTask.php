<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** A daily task that matters to a client, with how much each ladder leads to it (1 to 5). */
final readonly class GoalTask
{
    /**
     * @param array<string, int> $ladderWeights
     * @param list<Skill>        $skills        that come before it
     */
    public function __construct(
        public string $key,
        public string $label,
        public array $ladderWeights,
        public array $skills = [],
    ) {
    }
}
