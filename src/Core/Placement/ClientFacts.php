<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Approach\ChosenSchool;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Screening\Screening;

/** Everything that is known about one client, as values. */
final readonly class ClientFacts
{
    /** Stands among the suspended item keys when the whole routine rests. */
    public const EVERYTHING = '*';

    /**
     * @param non-empty-list<Condition> $conditions
     * @param non-empty-list<Side>      $affected     worse hand first
     * @param list<Side>                $unaffected   hands found wholly unaffected: their observations count as
     *     answered
     * @param list<string>              $helperSigned rung ids
     * @param list<string>              $met          `rung|side` whose move-up evidence is there
     * @param list<Override>            $overrides
     * @param list<string>|null         $materials    at hand; null: not asked, nothing is left out for it
     * @param list<string>              $suspended    item keys that rest until a therapist reopens them; `*` is
     *     everything
     * @param list<ChosenSchool>        $approaches   a therapist's choices; the rest follow from what is measured
     * @param bool                      $releaseTrained whoever is signed in carries the mark "trained in
     *     hands-on release"
     */
    public function __construct(
        public array $conditions,
        public array $affected,
        public array $unaffected,
        public Side $writingHand,
        public Readings $readings,
        public Screening $screening,
        public ?\DateTimeImmutable $injectedOn = null,
        public bool $helperHere = false,
        public array $helperSigned = [],
        public bool $supervised = false,
        public bool $atHome = true,
        public array $met = [],
        public array $overrides = [],
        public ?array $materials = null,
        public array $suspended = [],
        public bool $releaseTrained = false,
        public array $approaches = [],
    ) {
    }

    public function isMet(string $rungId, Side $side): bool
    {
        return \in_array((new RungOnSide($rungId, $side))->text(), $this->met, true);
    }

    /** @param list<string> $met */
    public function withMet(array $met): self
    {
        return $this->with(met: $met);
    }

    /** The same client as known by these readings alone. */
    public function withReadings(Readings $readings): self
    {
        return $this->with(readings: $readings);
    }

    /** @param list<string> $materials at hand */
    public function withMaterials(array $materials): self
    {
        return $this->with(materials: $materials);
    }

    /** The same client with a helper beside them, signed off for what they are signed off for. */
    public function withHelper(): self
    {
        return $this->with(helperHere: true);
    }

    /** The same client with a therapist beside them and the clinic's things at hand. */
    public function inTheClinic(): self
    {
        return new self(
            $this->conditions,
            $this->affected,
            $this->unaffected,
            $this->writingHand,
            readings: $this->readings,
            screening: $this->screening,
            injectedOn: $this->injectedOn,
            helperHere: $this->helperHere,
            helperSigned: $this->helperSigned,
            supervised: true,
            atHome: false,
            met: $this->met,
            overrides: $this->overrides,
            materials: null,
            suspended: $this->suspended,
            releaseTrained: $this->releaseTrained,
            approaches: $this->approaches,
        );
    }

    public function has(Condition $condition): bool
    {
        return \in_array($condition, $this->conditions, true);
    }

    /**
     * @param list<string>|null $met
     * @param list<string>|null $materials
     */
    private function with(
        ?array $met = null,
        ?Readings $readings = null,
        ?array $materials = null,
        ?bool $helperHere = null,
    ): self {
        return new self(
            $this->conditions,
            $this->affected,
            $this->unaffected,
            $this->writingHand,
            readings: $readings ?? $this->readings,
            screening: $this->screening,
            injectedOn: $this->injectedOn,
            helperHere: $helperHere ?? $this->helperHere,
            helperSigned: $this->helperSigned,
            supervised: $this->supervised,
            atHome: $this->atHome,
            met: $met ?? $this->met,
            overrides: $this->overrides,
            materials: $materials ?? $this->materials,
            suspended: $this->suspended,
            releaseTrained: $this->releaseTrained,
            approaches: $this->approaches,
        );
    }
}
