<?php

declare(strict_types=1);

namespace HandGarden\Core\Goal;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Skill;
use HandGarden\Core\Placement\LadderState;

/** How far one hand is from a skill that comes before a daily task. */
final readonly class SkillDistance
{
    /**
     * @param ?int        $rungs still to climb; 0: there; null: cannot be said, see `state`
     * @param LadderState $state of the ladder
     */
    public function __construct(
        public Skill $skill,
        public Ladder $ladder,
        public Side $side,
        public Rung $wanted,
        public ?Rung $standing,
        public ?Rung $next,
        public ?int $rungs,
        public LadderState $state,
    ) {
    }

    public function isReached(): bool
    {
        return 0 === $this->rungs;
    }
}
