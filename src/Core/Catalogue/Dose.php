<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * How much of an item: sets of repetitions, each with a movement and a hold. A timed item is one repetition whose
 * movement is the whole time. `parts` are fingers, directions or passes done inside one repetition count.
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
    ) {
    }

    /** The least that is something: where a dose is asked of an exercise that the catalogue no longer has. */
    public static function once(): self
    {
        return new self(1, 1, 1, 0, holdSeconds: 0, restSeconds: 0, loadKilograms: 0.0);
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
    ): self {
        $doable = min($sets, $repetitions, $parts) > 0
            && min($moveSeconds, $holdSeconds, $restSeconds) >= 0
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
            )
            : throw InvalidDose::notDoable(
                \sprintf(
                    '%d x %d x %d, move %d s, hold %d s, rest %d s, %.2f kg',
                    $sets,
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
        return self::from(
            $sets,
            $this->repetitions,
            $this->parts,
            $this->moveSeconds,
            holdSeconds: $this->holdSeconds,
            restSeconds: $this->restSeconds,
            loadKilograms: $this->loadKilograms,
        );
    }

    public function withRepetitions(int $repetitions): self
    {
        return self::from(
            $this->sets,
            $repetitions,
            $this->parts,
            $this->moveSeconds,
            holdSeconds: $this->holdSeconds,
            restSeconds: $this->restSeconds,
            loadKilograms: $this->loadKilograms,
        );
    }

    public function withMove(int $moveSeconds): self
    {
        return self::from(
            $this->sets,
            $this->repetitions,
            $this->parts,
            $moveSeconds,
            holdSeconds: $this->holdSeconds,
            restSeconds: $this->restSeconds,
            loadKilograms: $this->loadKilograms,
        );
    }

    public function withHold(int $holdSeconds): self
    {
        return self::from(
            $this->sets,
            $this->repetitions,
            $this->parts,
            $this->moveSeconds,
            holdSeconds: $holdSeconds,
            restSeconds: $this->restSeconds,
            loadKilograms: $this->loadKilograms,
        );
    }

    public function withLoad(float $loadKilograms): self
    {
        return self::from(
            $this->sets,
            $this->repetitions,
            $this->parts,
            $this->moveSeconds,
            holdSeconds: $this->holdSeconds,
            restSeconds: $this->restSeconds,
            loadKilograms: $loadKilograms,
        );
    }

    /** Whether nothing of this dose is more than the other's. */
    public function isAtMost(self $other): bool
    {
        return $this->sets <= $other->sets
            && $this->repetitions <= $other->repetitions
            && $this->holdSeconds <= $other->holdSeconds
            && $this->moveSeconds <= $other->moveSeconds
                && $this->loadKilograms <= $other->loadKilograms + 1e-9;
    }

    /** Seconds of moving and holding on one side. */
    public function workSeconds(): int
    {
        return $this->parts * $this->sets * $this->repetitions * (
            $this->moveSeconds + $this->holdSeconds
        );
    }

    /** Seconds of the whole item: set-up, work on each side, and a rest between sets and sides. */
    public function totalSeconds(int $sides, int $setUpSeconds): int
    {
        return $setUpSeconds + $sides * $this->workSeconds() + $this->restSeconds * (
            $sides * $this->sets - 1
        );
    }
}
