<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\Placements;

/** Everything a routine is built from; the same brief always gives the same routine. */
final readonly class Brief
{
    /**
     * @param array<string, Dose> $doses      prescribed doses by item key; others start at the rung's start dose
     * @param array<string, int>  $recentDays by item key: on how many of the last seven days it was done
     */
    public function __construct(
        public Placements $placements,
        public ClientFacts $facts,
        public Goals $goals,
        public Limits $limits,
        public \DateTimeImmutable $today,
        public array $doses = [],
        public Edits $edits = new Edits(),
        public Weights $weights = new Weights(),
        public array $recentDays = [],
    ) {
    }

    public function withLimits(Limits $limits): self
    {
        return new self(
            $this->placements,
            $this->facts,
            $this->goals,
            $limits,
            today: $this->today,
            doses: $this->doses,
            edits: $this->edits,
            weights: $this->weights,
            recentDays: $this->recentDays,
        );
    }

    public function withClient(Placements $placements, ClientFacts $facts): self
    {
        return new self(
            $placements,
            $facts,
            $this->goals,
            $this->limits,
            today: $this->today,
            doses: $this->doses,
            edits: $this->edits,
            weights: $this->weights,
            recentDays: $this->recentDays,
        );
    }

    public function withEdits(Edits $edits): self
    {
        return new self(
            $this->placements,
            $this->facts,
            $this->goals,
            $this->limits,
            today: $this->today,
            doses: $this->doses,
            edits: $edits,
            weights: $this->weights,
            recentDays: $this->recentDays,
        );
    }
}
