<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Placement\Placements;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Placement\RungState;

/** A short-term goal beside where the client stands today. */
final readonly class GoalView
{
    private function __construct(
        public ShortTermGoal $goal,
        public string $wanted,
        public string $ladder,
        public ?string $standing,
        public bool $isReached,
        public bool $isOverdue,
    ) {
    }

    public static function from(
        ShortTermGoal $goal,
        Catalogue $catalogue,
        Placements $placements,
        \DateTimeImmutable $today,
    ): self {
        if (!$catalogue->hasRung($goal->rungId)) {
            return new self(
                $goal,
                $goal->rungId,
                'no longer in the catalogue',
                null,
                isReached: false,
                isOverdue: false,
            );
        }
        $ladder = $catalogue->ladderOf($goal->rungId);
        $standing = $placements->find($ladder->key, $goal->side)?->standingRung();
        $reached = null !== $standing
            && ($ladder->positionOf($standing->id) ?? 0) >= (
                $ladder->positionOf($goal->rungId) ?? \PHP_INT_MAX
            );

        return new self(
            $goal,
            $catalogue->rung($goal->rungId)->name,
            $ladder->name,
            $standing?->name,
            isReached: $reached,
            isOverdue: !$reached && $goal->byDay < $today,
        );
    }

    /**
     * @return array<string, array<string, string>> rungs above where each hand stands, by ladder and hand; keys
     *    `rung|side`
     */
    public static function choices(Placements $placements): array
    {
        $choices = [];
        foreach ($placements->trained() as $placed) {
            if (!$placed->ladder->kind->isClimbed()) {
                continue;
            }
            $standing = $placed->standingRung();
            $from = null === $standing ? 0 : ($placed->ladder->positionOf($standing->id) ?? 0);
            foreach (\array_slice($placed->ladder->rungs, $from) as $rung) {
                if (self::mayBe($placed->for($rung->id)?->state)) {
                    $choices[
                        $placed->ladder->name.', '.$placed->side->value
                    ][(new RungOnSide($rung->id, $placed->side))->text()] = $rung->name;
                }
            }
        }

        return $choices;
    }

    private static function mayBe(?RungState $state): bool
    {
        return null !== $state && RungState::NoFit !== $state && RungState::Blocked !== $state;
    }
}
