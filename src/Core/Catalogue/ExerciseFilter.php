<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What is looked for among the exercises; what is not named does not matter. */
final readonly class ExerciseFilter
{
    /**
     * @param list<string>      $words     lower case; all have to be found, each as the beginning of a word
     * @param list<string>|null $materials keys at hand: exercises that need anything else are left out; null: any
     * @param ?int              $minutes   at the start dose
     * @param ?string           $loads     a muscle group that works
     */
    public function __construct(
        public array $words = [],
        public ?Condition $condition = null,
        public ?Performer $performer = null,
        public ?array $materials = null,
        public ?Posture $posture = null,
        public ?int $minutes = null,
        public ?string $loads = null,
        public ?Strand $strand = null,
    ) {
    }

    public function isEmpty(): bool
    {
        return [] === $this->words
            && null === $this->condition
            && null === $this->performer
            && null === $this->materials
            && null === $this->posture
            && null === $this->minutes
            && null === $this->loads
            && null === $this->strand;
    }
}
