<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Ladder;

/** One walk over all ladders: each is placed once, earlier when another asks where the client stands on it. */
final class LadderWalk implements Standing
{
    public readonly KnownFacts $known;

    /** @var array<string, LadderPlacement|null> by ladder and side; null while it is being placed */
    private array $placed = [];

    /** @param \Closure(Ladder, Side, KnownFacts): LadderPlacement $place */
    public function __construct(
        private readonly Catalogue $catalogue,
        ClientFacts $facts,
        \DateTimeImmutable $today,
        private readonly \Closure $place,
    ) {
        $this->known = new KnownFacts($facts, $catalogue->vocabulary, $today, $this);
    }

    /** Null when the ladder is being placed just now: two that ask for each other do not go round in circles. */
    public function placement(Ladder $ladder, Side $side): ?LadderPlacement
    {
        $key = $ladder->key.'|'.$side->value;
        if (!\array_key_exists($key, $this->placed)) {
            $this->placed[$key] = null;
            $this->placed[$key] = ($this->place)($ladder, $side, $this->known);
        }

        return $this->placed[$key];
    }

    public function stands(string $rungId, Side $side): ?bool
    {
        if (!$this->catalogue->hasRung($rungId)) {
            return false;
        }
        $ladder = $this->catalogue->ladderOf($rungId);
        $placed = $this->placement($ladder, $side);
        $standing = $placed?->standingRung();
        if (null !== $standing) {
            return ($ladder->positionOf($standing->id) ?? 0) >= (
                $ladder->positionOf($rungId) ?? \PHP_INT_MAX
            );
        }

        return null === $placed || LadderState::Measure === $placed->state ? null : false;
    }
}
