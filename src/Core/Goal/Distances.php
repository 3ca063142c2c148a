<?php

declare(strict_types=1);

namespace HandGarden\Core\Goal;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\Skill;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Placement\LadderState;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\RungState;

/**
 * The way from where a client stands to the skills of a daily task, counted in rungs that fit them. A rung is a step of
 * practice, not of time.
 */
final readonly class Distances
{
    public function __construct(
        private Catalogue $catalogue,
        private Placements $placements,
    ) {
    }

    /**
     * @param non-empty-list<Side> $sides worse hand first
     *
     * @return list<SkillDistance> skills whose rung fits the client, for each hand that is placed on its ladder
     */
    public function for(GoalTask $goal, array $sides): array
    {
        $distances = [];
        foreach ($goal->skills as $skill) {
            foreach ($sides as $side) {
                $placed = $this->placements->find(
                    $this->catalogue->ladderOf($skill->rungId)->key,
                    $side,
                );
                if (null !== $placed && LadderState::NoFit !== $placed->state) {
                    $distances[] = $this->distance($skill, $placed);
                }
            }
        }

        return $distances;
    }

    private function distance(Skill $skill, LadderPlacement $placed): SkillDistance
    {
        $wanted = $this->catalogue->rung($skill->rungId);
        $standing = $placed->standingRung();
        $far = null;
        if (!\in_array($placed->state, [LadderState::Blocked, LadderState::Measure], true)) {
            $from = null === $standing ? 0 : ($placed->ladder->positionOf($standing->id) ?? 0);
            $to = $placed->ladder->positionOf($wanted->id) ?? 0;
            $between = \array_slice($placed->ladder->rungs, $from, max(0, $to - $from));
            $far = \count(array_filter($between, fn (Rung $r): bool => $this->fits($placed, $r)));
        }

        return new SkillDistance(
            $skill,
            $placed->ladder,
            $placed->side,
            $wanted,
            standing: $standing,
            next: $placed->next?->rung,
            rungs: $far,
            state: $placed->state,
        );
    }

    private function fits(LadderPlacement $placed, Rung $rung): bool
    {
        return null !== $placed->for($rung->id) && RungState::NoFit !== $placed->for($rung->id)->state;
    }
}
