<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * How much of an item: sets of repetitions, each with a movement and a hold. A timed item is one repetition whose
 * movement is the whole time. `parts` are fingers or directions done inside one repetition count; `passes` are what a
 * set is repeated for where that says how hard it is.
 */
final readonly class Dose
{
    private function __construct(
        public int $sets,
        public int $repetitions,
        public int $parts,
        public int $moveSeconds,
        public int $holdSeconds,
        public int $restSeconds,
        public float $loadKilograms,
        public int $passes,
        /** At each change of part. */
        public int $betweenSeconds,
        /** After the last set. */
        public int $tailSeconds,
    ) {
    }

    /** The least that is something: where a dose is asked of an exercise that the catalogue no longer has. */
    public static function once(): self
    {
        return self::from(1, 1, 1, 0, holdSeconds: 0, restSeconds: 0);
    }

    /** @throws InvalidDose */
    public static function from(
        int $sets,
        int $repetitions,
        int $parts,
        int $moveSeconds,
        int $holdSeconds,
        int $restSeconds,
        float $loadKilograms = 0.0,
        int $passes = 1,
        int $betweenSeconds = 0,
        int $tailSeconds = 0,
    ): self {
        $doable = min($sets, $repetitions, $parts, $passes) > 0
            && min($moveSeconds, $holdSeconds, $restSeconds, $betweenSeconds, $tailSeconds) >= 0
            && $loadKilograms >= 0.0
            && is_finite($loadKilograms);

        return $doable
            ? new self(
                $sets,
                $repetitions,
                $parts,
                $moveSeconds,
                holdSeconds: $holdSeconds,
                restSeconds: $restSeconds,
                loadKilograms: $loadKilograms,
                passes: $passes,
                betweenSeconds: $betweenSeconds,
                tailSeconds: $tailSeconds,
            )
            : throw InvalidDose::notDoable(
                \sprintf(
                    '%d x %d x %d, move %d s, hold %d s, rest %d s, %.2f kg',
                    $sets * $passes,
                    $repetitions,
                    $parts,
                    $moveSeconds,
                    $holdSeconds,
                    $restSeconds,
                    $loadKilograms,
                ),
            );
    }

    /** The same but for the number of sets, which says how much and not how hard. */
    public function isAsHardAs(self $other): bool
    {
        return get_object_vars($this->withSets(1)) === get_object_vars($other->withSets(1));
    }

    public function withSets(int $sets): self
    {
        return $this->with(['sets' => $sets]);
    }

    public function withPasses(int $passes): self
    {
        return $this->with(['passes' => $passes]);
    }

    public function withRepetitions(int $repetitions): self
    {
        return $this->with(['repetitions' => $repetitions]);
    }

    public function withMove(int $moveSeconds): self
    {
        return $this->with(['moveSeconds' => $moveSeconds]);
    }

    public function withHold(int $holdSeconds): self
    {
        return $this->with(['holdSeconds' => $holdSeconds]);
    }

    public function withLoad(float $loadKilograms): self
    {
        return $this->with(['loadKilograms' => $loadKilograms]);
    }

    /** Whether nothing of this dose is more than the other's. */
    public function isAtMost(self $other): bool
    {
        return $this->sets <= $other->sets
            && $this->passes <= $other->passes
            && $this->repetitions <= $other->repetitions
            && $this->holdSeconds <= $other->holdSeconds
            && $this->moveSeconds <= $other->moveSeconds
            && $this->loadKilograms <= $other->loadKilograms + 1e-9;
    }

    /** Seconds of moving and holding on one side. */
    public function workSeconds(): int
    {
        return $this->setsPlayed() * $this->repetitions * $this->parts * ($this->moveSeconds + $this->holdSeconds);
    }

    /**
     * Seconds of the whole item: set-up, work on each side, a rest between sets and sides, the time that a change of
     * part takes, and what comes after the last set.
     */
    public function totalSeconds(int $sides, int $setUpSeconds): int
    {
        return $setUpSeconds
            + $sides * $this->workSeconds()
            + $this->restSecondsInAll($sides)
            + $this->betweenSeconds * ($this->parts - 1) * $this->setsPlayed() * $sides
            + $this->tailSeconds;
    }

    /** Between sets and sides. */
    public function restSecondsInAll(int $sides): int
    {
        return $this->restSeconds * ($sides * $this->setsPlayed() - 1);
    }

    private function setsPlayed(): int
    {
        return $this->sets * $this->passes;
    }

    /** @param array<string, int|float> $changed by property */
    private function with(array $changed): self
    {
        /** @var array<string, int> $all */
        $all = array_merge(get_object_vars($this), $changed);

        return self::from(...$all);
    }
}
