<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * How much of an item: sets of repetitions, each with a movement and a hold. A timed item is one repetition whose
 * movement is the whole time. `parts` are fingers or directions done inside one repetition count; `passes` are what a
 * set is repeated for where that says how hard it is; `levels` are all else that does.
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
        public Levels $levels,
        /** The levels that the seconds of a movement are given for. */
        private Levels $timedAt,
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
        ?Levels $levels = null,
        ?Levels $timedAt = null,
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
                levels: $levels ?? Levels::none(),
                timedAt: $timedAt ?? $levels ?? Levels::none(),
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
        $of = static fn (self $dose): array => [
            'levels' => $dose->levels->all(),
            'timedAt' => $dose->timedAt->all(),
        ] + get_object_vars($dose->withSets(1));

        return $of($this) === $of($other);
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

    public function withRest(int $restSeconds): self
    {
        return $this->with(['restSeconds' => $restSeconds]);
    }

    public function withLoad(float $loadKilograms): self
    {
        return $this->with(['loadKilograms' => $loadKilograms]);
    }

    /**
     * At a level of a challenge, and as fast as that level asks.
     *
     * @throws InvalidDose
     */
    public function at(Challenge $challenge, int|float|string $level): self
    {
        return $this->with([
            'levels' => $this->levels->with($challenge, $level),
            'timedAt' => null === $this->timedAt->at($challenge)
                ? $this->timedAt->with($challenge, $level)
                : $this->timedAt,
        ]);
    }

    /** @throws InvalidDose */
    public function atLevels(Levels $levels): self
    {
        $dose = $this;
        foreach ($levels->all() as $code => $level) {
            $dose = $dose->at(Challenge::from($code), $level);
        }

        return $dose;
    }

    /** With the levels of another dose of the same exercise, and the movement timed for the same ones. */
    public function timedAs(self $other): self
    {
        return $this->with(['levels' => $other->levels, 'timedAt' => $other->timedAt]);
    }

    /** Whether nothing of this dose is more than the other's; at an easier stage count and hold do not matter. */
    public function isAtMost(self $other): bool
    {
        $stage = $this->levels->stageBeside($other->levels);

        return $stage < 0 || (0 === $stage && $this->isNoMoreThan($other));
    }

    private function isNoMoreThan(self $other): bool
    {
        return $this->levels->isAtMost($other->levels)
            && $this->sets <= $other->sets
            && $this->passes <= $other->passes
            && $this->repetitions <= $other->repetitions
            && $this->holdSeconds <= $other->holdSeconds
            && $this->moveSeconds <= $other->moveSeconds
            && $this->loadKilograms <= $other->loadKilograms + 1e-9;
    }

    /** Seconds of moving and holding on one side. */
    public function workSeconds(): int
    {
        $times = $this->setsPlayed() * $this->repetitions * $this->parts;

        return (int) ceil($times * $this->moveSecondsNow() - 1e-6) + $times * $this->holdSeconds;
    }

    /** Seconds of one movement as fast as its levels ask. */
    public function moveSecondsNow(): float
    {
        return $this->moveSeconds / $this->levels->quickening($this->timedAt);
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

    public function setsPlayed(): int
    {
        return $this->sets * $this->passes;
    }

    /** @param array<string, mixed> $changed by property */
    private function with(array $changed): self
    {
        /** @var array<string, int> $all */
        $all = array_merge(get_object_vars($this), $changed);

        return self::from(...$all);
    }
}
