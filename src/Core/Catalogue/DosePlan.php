<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\FactCode;

/** How hard an exercise may be and how much of it may be done, and how it grows. */
final readonly class DosePlan
{
    /**
     * @param list<ProgressSpec> $progress
     * @param ?FactCode          $holdLimit what was measured that a first hold stays under, in seconds
     */
    public function __construct(
        public Dose $start,
        public DoseRange $range,
        public AmountRange $amounts,
        public DoseKind $counted,
        public array $progress,
        public ?FactCode $holdLimit = null,
    ) {
    }

    /**
     * The first dose of somebody.
     *
     * @param ?float $longestHold in seconds; null: it is not known, the hold is the shortest
     */
    public function first(?float $longestHold): Dose
    {
        [$least] = $this->range->holdSeconds;

        return null === $this->holdLimit
            ? $this->start
            : $this->start->withHold(
                max(
                    $least,
                    min($this->start->holdSeconds, (int) floor($longestHold ?? 0.0)),
                ),
            );
    }

    public function amountOf(Dose $dose): Amount
    {
        return $this->amounts->in($dose, $this->start);
    }

    /** The same dose done as often as the amount says. */
    public function with(Dose $dose, Amount $amount): Dose
    {
        return $amount->of($this->difficultyOf($dose));
    }

    /** The same dose done one step more or less often; as it is where there is no such step. */
    public function stepped(Dose $dose, int $by): Dose
    {
        $amounts = $this->amounts->amounts();
        $now = $this->amountOf($dose)->number;
        $at = 0;
        foreach ($amounts as $i => $amount) {
            $at = $amount->number === $now ? $i : $at;
        }

        return isset($amounts[$at + $by]) ? $this->with($dose, $amounts[$at + $by]) : $dose;
    }

    /** One set fewer, and twice the rest between those that are left; null: there is only one. */
    public function restedMore(Dose $dose): ?Dose
    {
        $fewer = $this->stepped($dose, -1);

        return $fewer->sets < $dose->sets
            ? $fewer->withRest($this->moreRestSeconds())
            : null;
    }

    /** How hard it is: once, and for the time of its start. */
    public function difficultyOf(Dose $dose): Dose
    {
        return $dose->withSets(1)->withMove($this->start->moveSeconds);
    }

    /** What was kept, as the exercise is today: how hard within its range, and all else as it says. */
    public function today(Dose $kept): Dose
    {
        $difficulty = $this->start
            ->withPasses($kept->passes)
            ->withRepetitions($kept->repetitions)
            ->withHold($kept->holdSeconds)
            ->withLoad($kept->loadKilograms)
            ->withRest($kept->restSeconds === $this->moreRestSeconds()
                ? $kept->restSeconds
                : $this->start->restSeconds)
            ->atLevels($this->known($kept->levels));

        return $this->with($this->range->clamp($difficulty), $this->amountOf($kept));
    }

    /** @throws InvalidDose naming the field and its limits */
    public function check(Dose $dose, string $rungId): void
    {
        $this->range->check($dose, $rungId);
        $this->checkLevels($dose->levels);
        $right = $this->with($dose, $this->amountOf($dose));
        [$least, $most] = [$this->with($dose, $this->amounts->amounts()[0]), $this->with(
            $dose,
            $this->most(),
        )];
        if ($right->sets !== $dose->sets) {
            throw InvalidDose::outside(
                'sets',
                $dose->sets,
                $least->sets,
                $most->sets,
                rungId: $rungId,
            );
        }
        if ($right->moveSeconds !== $dose->moveSeconds) {
            throw InvalidDose::outside(
                'seconds',
                $dose->moveSeconds,
                $least->moveSeconds,
                $most->moveSeconds,
                rungId: $rungId,
            );
        }
    }

    /** @throws InvalidDose naming the challenge and the levels it has here */
    public function checkLevels(Levels $levels): void
    {
        foreach ($levels->all() as $code => $level) {
            if (!\in_array($level, $this->levelsOf($code), true)) {
                throw InvalidDose::otherLevels(Challenge::from($code), $level, $this->levelsOf($code));
            }
        }
    }

    /** The rule that goes through the levels of a challenge; null: it makes no difference here. */
    public function climbing(Challenge $challenge): ?ProgressSpec
    {
        foreach ($this->progress as $spec) {
            if ($spec->kind->challenge() === $challenge) {
                return $spec;
            }
        }

        return null;
    }

    /** @return list<int|float|string> by the code of a challenge; none: it makes no difference here */
    public function levelsOf(string $code): array
    {
        $challenge = Challenge::tryFrom($code);

        return null === $challenge ? [] : $this->climbing($challenge)->levels ?? [];
    }

    /** Those levels that the exercise still has. */
    private function known(Levels $kept): Levels
    {
        $levels = $this->start->levels;
        foreach ($kept->all() as $code => $level) {
            $levels = \in_array($level, $this->levelsOf($code), true)
                ? $levels->with(Challenge::from($code), $level)
                : $levels;
        }

        return $levels;
    }

    /** Between sets after which tone was tighter. */
    private function moreRestSeconds(): int
    {
        return 2 * $this->start->restSeconds;
    }

    private function most(): Amount
    {
        return new Amount($this->amounts->unit, $this->amounts->most);
    }
}
