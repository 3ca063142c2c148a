<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Within which a therapist may set how hard a rung is; what has no range stays as it starts. */
final readonly class DoseRange
{
    /**
     * @param array{int, int}     $repetitions least, most
     * @param array{int, int}     $holdSeconds
     * @param array{float, float} $loadKilograms
     * @param array{int, int}     $passes
     */
    public function __construct(
        public array $repetitions,
        public array $holdSeconds,
        public array $loadKilograms = [0.0, 0.0],
        public array $passes = [1, 1],
    ) {
    }

    /** @throws InvalidDose naming the field and its limits */
    public function check(Dose $dose, string $rungId): void
    {
        foreach ([
            'passes' => [$dose->passes, $this->passes],
            'repetitions' => [$dose->repetitions, $this->repetitions],
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
            ->withPasses(self::inside($this->passes, $dose->passes))
            ->withRepetitions(self::inside($this->repetitions, $dose->repetitions))
            ->withHold(self::inside($this->holdSeconds, $dose->holdSeconds))
            ->withLoad(max($this->loadKilograms[0], min($this->loadKilograms[1], $dose->loadKilograms)));
    }

    /** @param array{int, int} $limits */
    private static function inside(array $limits, int $value): int
    {
        return max($limits[0], min($limits[1], $value));
    }
}
