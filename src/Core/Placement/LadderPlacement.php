<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;

/** One ladder for one hand. The computed result stays beside a therapist's override. */
final readonly class LadderPlacement
{
    /**
     * @param non-empty-list<RungPlacement> $rungs  easiest first
     * @param ?Rung                         $tryOut what to try first where the climb waits for that alone
     */
    public function __construct(
        public Ladder $ladder,
        public Side $side,
        public LadderState $state,
        public ?RungPlacement $standing,
        public ?RungPlacement $next,
        public array $rungs,
        public ?Override $override = null,
        public ?Rung $tryOut = null,
    ) {
    }

    /**
     * What the routine may take: the rung set by override, else the standing rung of a climb, else every rung
     * that is in.
     *
     * @return list<Rung>
     */
    public function offered(): array
    {
        if (null !== $this->override) {
            foreach ($this->rungs as $placed) {
                if ($placed->rung->id === $this->override->rungId && [] === $placed->screening) {
                    return [$placed->rung];
                }
            }
        }
        if ($this->ladder->kind->isClimbed()) {
            return null === $this->standing ? [] : [$this->standing->rung];
        }

        return array_values(
            array_map(
                static fn (RungPlacement $r): Rung => $r->rung,
                array_filter(
                    $this->rungs,
                    static fn (RungPlacement $r): bool => $r->isIn(),
                ),
            ),
        );
    }

    /** Where the client stands, with the therapist's word counting; null when nowhere. */
    public function standingRung(): ?Rung
    {
        $offered = $this->offered();

        return [] === $offered ? null : $offered[array_key_last($offered)];
    }

    public function for(string $rungId): ?RungPlacement
    {
        foreach ($this->rungs as $placed) {
            if ($placed->rung->id === $rungId) {
                return $placed;
            }
        }

        return null;
    }
}
