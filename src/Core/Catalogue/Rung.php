<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Cue\Walk;

/** One exercise at one difficulty. */
final readonly class Rung
{
    public const SET_UP_SECONDS = 20;
    private const SHOWN_FROM = 3;
    private const BLADE = 'G-BLADE';

    /**
     * @param list<string> $easier ids named as easier, beside the neighbour in the ladder
     * @param list<string> $harder
     */
    public function __construct(
        public string $id,
        public string $name,
        public Instructions $instructions,
        public Fit $fit,
        public Load $load,
        public DosePlan $dosing,
        public Walk $walk,
        public Demands $demands,
        public InSitting $sitting,
        private FoldedPicture $folded,
        public array $easier,
        public array $harder,
    ) {
    }

    public function picture(): Picture
    {
        return $this->folded->picture();
    }

    /** A helper's hands may do it: only of somebody who is signed for it. */
    public function asksForHands(): bool
    {
        return \in_array(Performer::Helper, $this->fit->performers, true);
    }

    public function plays(RungPart $part): bool
    {
        return \in_array($part, $this->sitting->parts, true);
    }

    /** Load, blade, standing and weight on the arm are never entered by numbers alone. */
    public function isEarned(): bool
    {
        return $this->dosing->range->loadKilograms[1] > 0.0
            || $this->demands->asks(Asks::Standing)
            || $this->demands->asks(Asks::Weight)
            || $this->needsABlade();
    }

    private function needsABlade(): bool
    {
        return [] !== array_filter(
            $this->fit->cautions,
            static fn (Caution $c): bool => self::BLADE === $c->key,
        );
    }

    /** It asks nothing of the arm. */
    public function isRest(): bool
    {
        return EffortClass::Calm === $this->load->class
            && [] === $this->demands->works->parts(...WorkKind::cases());
    }

    /** Hard, loaded, standing, sharp, hot or worn: the first time is beside a therapist. */
    public function isShownFirst(): bool
    {
        return $this->load->intensity >= self::SHOWN_FROM
            || $this->dosing->range->loadKilograms[1] > 0.0
            || $this->demands->asks(Asks::Standing)
            || $this->demands->touches(Contact::Heat)
            || EffortClass::Device === $this->load->class
            || $this->needsABlade();
    }

    /** Time of a first week's item, in seconds. */
    public function startSeconds(): int
    {
        return $this->dosing->start->totalSeconds(
            $this->fit->doneOn->sides(),
            self::SET_UP_SECONDS,
        );
    }

    public function withPicture(string $id, Picture $picture): self
    {
        return new self(
            $id,
            $this->name,
            $this->instructions,
            $this->fit,
            load: $this->load,
            dosing: $this->dosing,
            walk: $this->walk,
            demands: $this->demands,
            sitting: $this->sitting,
            folded: new FoldedPicture($picture),
            easier: $this->easier,
            harder: $this->harder,
        );
    }
}
