<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** The circumstances of a reading: what has to be the same before two readings are compared. */
final readonly class Taken
{
    /** @param list<float> $trials the single values when it was taken more than once */
    public function __construct(
        public ?string $byStaffId = null,
        public Position $position = Position::Usual,
        public MedicationState $medication = MedicationState::NotAsked,
        public Source $source = Source::Hand,
        public array $trials = [],
    ) {
    }

    /** As far as it is known who took them. */
    public static function bySame(self $one, self $other): bool
    {
        return null === $one->byStaffId || null === $other->byStaffId || $one->byStaffId === $other->byStaffId;
    }

    /** @param list<float> $trials */
    public function withTrials(array $trials): self
    {
        return new self(
            $this->byStaffId,
            $this->position,
            $this->medication,
            $this->source,
            trials: $trials,
        );
    }

    public function from(Source $source): self
    {
        return new self(
            $this->byStaffId,
            $this->position,
            $this->medication,
            $source,
            trials: $this->trials,
        );
    }

    /** Range of the trials, highest less lowest; null for one trial. */
    public function spread(): ?float
    {
        return \count($this->trials) < 2 ? null : max($this->trials) - min($this->trials);
    }
}
