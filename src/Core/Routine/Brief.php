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
     * @param list<string>        $focusFirst `ladder|side` that a therapist puts first
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
        public array $focusFirst = [],
    ) {
    }

    public function withLimits(Limits $limits): self
    {
        return $this->with(['limits' => $limits]);
    }

    public function withClient(Placements $placements, ClientFacts $facts): self
    {
        return $this->with(['placements' => $placements, 'facts' => $facts]);
    }

    public function withEdits(Edits $edits): self
    {
        return $this->with(['edits' => $edits]);
    }

    /** @param array<string, mixed> $changed by property */
    private function with(array $changed): self
    {
        /**
         * @var array{
         *     placements: Placements,
         *     facts: ClientFacts,
         *     goals: Goals,
         *     limits: Limits,
         *     today: \DateTimeImmutable,
         * } $all
         */
        $all = array_merge(get_object_vars($this), $changed);

        return new self(...$all);
    }
}
