<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Words\Phrase;

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

    public function words(): Phrase
    {
        $way = match (true) {
            null === $this->to => 'off',
            null === $this->from => 'on',
            ($this->rungs() ?? 0) < 0 => 'down',
            default => 'up',
        };

        return new Phrase(
            'placement_change.'.$way,
            ['from' => $this->from->name ?? '', 'to' => $this->to->name ?? ''],
        );
    }
}
