<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;

/** A client who stands elsewhere on a ladder than before. */
final readonly class PlacementChange
{
    public function __construct(
        public Ladder $ladder,
        public Side $side,
        public ?Rung $from,
        public ?Rung $to,
    ) {
    }

    /** Rungs up; negative: down. Null where one of the two is no rung. */
    public function rungs(): ?int
    {
        $from = null === $this->from ? null : $this->ladder->positionOf($this->from->id);
        $to = null === $this->to ? null : $this->ladder->positionOf($this->to->id);

        return null === $from || null === $to ? null : $to - $from;
    }

    public function words(): string
    {
        $rungs = $this->rungs();

        return match (true) {
            null === $this->to => \sprintf('stood on %s, now on none', $this->from->name ?? ''),
            null === $this->from => \sprintf('now on %s', $this->to->name),
            null !== $rungs
                && $rungs < 0 => \sprintf('from %s back to %s', $this->from->name, $this->to->name),
            default => \sprintf('from %s up to %s', $this->from->name, $this->to->name),
        };
    }
}
