<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Within which a therapist may set the dose of a rung; what has no range stays as it starts. */
final readonly class DoseRange
{
    /**
     * @param array{int, int}     $sets        least, most
     * @param array{int, int}     $repetitions
     * @param array{int, int}     $moveSeconds for timed items
     * @param array{int, int}     $holdSeconds
     * @param array{float, float} $loadKilograms
     */
    public function __construct(
        public array $sets,
        public array $repetitions,
        public array $moveSeconds,
        public array $holdSeconds,
        public array $loadKilograms,
    ) {
    }

    /** @throws InvalidDose naming the field and its limits */
    public function check(Dose $dose, string $rungId): void
    {
        foreach ([
            'sets' => [$dose->sets, $this->sets],
            'repetitions' => [$dose->repetitions, $this->repetitions],
            'seconds' => [$dose->moveSeconds, $this->moveSeconds],
            'hold' => [$dose->holdSeconds, $this->holdSeconds],
            'load' => [$dose->loadKilograms, $this->loadKilograms],
        ] as $field => [$value, [$min, $max]]) {
            if ($value < $min || $value > $max) {
                throw InvalidDose::outside($field, $value, $min, $max, rungId: $rungId);
            }
        }
    }

    public function clamp(Dose $dose): Dose
    {
        return $dose
            ->withSets(max($this->sets[0], min($this->sets[1], $dose->sets)))
            ->withRepetitions(
                max($this->repetitions[0], min($this->repetitions[1], $dose->repetitions)),
            )
            ->withMove(max($this->moveSeconds[0], min($this->moveSeconds[1], $dose->moveSeconds)))
            ->withHold(max($this->holdSeconds[0], min($this->holdSeconds[1], $dose->holdSeconds)))
            ->withLoad(
                max($this->loadKilograms[0], min($this->loadKilograms[1], $dose->loadKilograms)),
            );
    }
}
