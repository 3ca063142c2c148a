<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition;

/** Something about a hand that makes some ladders matter more. */
final readonly class Impairment
{
    public const MOST = 5;

    /**
     * @param array<string, int> $ladders weight (1 to 5) by key
     * @param array<string, int> $rungs   weight by id, where not the whole ladder matters
     * @param array<string, int> $added   by key of a ladder: what comes on top of its weight
     * @param string             $reason  shown to the therapist
     */
    public function __construct(
        public string $key,
        public Condition $while,
        public array $ladders,
        public array $rungs,
        public array $added,
        public string $reason,
    ) {
    }

    /** What it says of a rung: its own weight, or the one of its ladder. */
    public function weightOf(Rung $rung, Ladder $ladder): int
    {
        return max($this->rungs[$rung->id] ?? 0, $this->weightOfLadder($ladder));
    }

    public function weightOfLadder(Ladder $ladder): int
    {
        $weight = $this->ladders[$ladder->key] ?? 0;
        foreach (LadderKind::Climb === $ladder->kind ? $ladder->rungs : [] as $rung) {
            $weight = max($weight, $this->rungs[$rung->id] ?? 0);
        }

        return $weight;
    }
}
