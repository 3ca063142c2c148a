<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** The result of placing one client on all ladders. */
final readonly class Placements
{
    /**
     * @param list<LadderPlacement> $ladders in catalogue order, worse hand first
     * @param list<Needed>          $needed  what to measure next, shortest first
     */
    public function __construct(
        public array $ladders,
        public array $needed,
    ) {
    }

    public function find(string $ladderKey, Side $side): ?LadderPlacement
    {
        foreach ($this->ladders as $placed) {
            if ($placed->ladder->key === $ladderKey && $placed->side === $side) {
                return $placed;
            }
        }

        return null;
    }

    /**
     * Where the client stands elsewhere than before, on the ladders that are climbed.
     *
     * @return list<PlacementChange> in catalogue order
     */
    public function changedFrom(self $before): array
    {
        $changes = [];
        foreach ($this->trained() as $now) {
            $then = $before->find($now->ladder->key, $now->side);
            $from = $then?->standingRung();
            $to = $now->standingRung();
            if ($now->ladder->kind->isClimbed() && $from?->id !== $to?->id) {
                $changes[] = new PlacementChange($now->ladder, $now->side, $from, $to);
            }
        }

        return $changes;
    }

    /**
     * The ladders that are climbed, stretched or chained for a hand, without warm-up and closing items.
     *
     * @return list<LadderPlacement>
     */
    public function trained(): array
    {
        return array_values(
            array_filter(
                $this->ladders,
                static fn (LadderPlacement $p): bool => $p->ladder->isTrained(),
            ),
        );
    }
}
