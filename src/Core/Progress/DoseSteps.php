<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\ProgressSpec;
use HandGarden\Core\Catalogue\Rung;

/** One step up or down of a dose, as the rules of its rung say. */
final readonly class DoseSteps
{
    private const STOPS_FIRST_AT = 15;
    /** Pictures of the wrist, from hanging to a little back, by which an angle is told at home. */
    public const ANGLES_AT_HOME = [-60, -30, 0, 20];

    public function __construct(
        private Rung $rung,
        private bool $atHome = false,
    ) {
    }

    /** The rule that counts now: the first that is not at its cap; null when all are, or none is automatic. */
    public function current(Dose $dose): ?ProgressSpec
    {
        foreach ($this->rung->dosing->progress as $spec) {
            if ($spec->kind->isAutomatic() && null !== $this->raised($spec, $dose)) {
                return $spec;
            }
        }

        return null;
    }

    /** With no more rest than at the start. */
    public function up(Dose $dose): ?Dose
    {
        $spec = $this->current($dose);

        return null === $spec
            ? null
            : $this->raised($spec, $dose)?->withRest($this->rung->dosing->start->restSeconds);
    }

    /**
     * Less of what weighs most: load, then the challenges, then hold, then repetitions, then passes, then the finger or
     * the size before; null at the least dose. How often it is done says nothing of how hard it is.
     */
    public function down(Dose $dose): ?Dose
    {
        $range = $this->rung->dosing->range;
        $start = $this->rung->dosing->start;
        $hold = $this->shorterHold($dose);
        $slower = $this->atEasier($dose, static fn (Challenge $c): bool => !$c->isStage());
        $repetitionStep = $this->stepOf(ProgressKind::Repetitions) ?? 2;
        $leastRepetitions = max($range->repetitions[0], intdiv($start->repetitions + 1, 2));

        return match (true) {
            $dose->loadKilograms > $range->loadKilograms[0] => $dose->withLoad(
                $this->lighter($dose->loadKilograms),
            ),
            null !== $slower => $slower,
            null !== $hold => $dose->withHold($hold),
            $dose->repetitions > $leastRepetitions => $dose->withRepetitions(
                max($leastRepetitions, $dose->repetitions - $repetitionStep),
            ),
            $dose->passes > $range->passes[0] => $dose->withPasses($dose->passes - 1),
            default => $this->atEasier($dose, static fn (Challenge $c): bool => $c->isStage()),
        };
    }

    public function isAtCap(Dose $dose): bool
    {
        return null === $this->up($dose);
    }

    private function raised(ProgressSpec $spec, Dose $dose): ?Dose
    {
        $raised = match ($spec->kind) {
            ProgressKind::HoldCount => $dose->holdSeconds < $spec->cap
                ? $dose->withHold(
                    min($spec->cap, max($spec->start, $dose->holdSeconds + $spec->step)),
                )
                : null,
            ProgressKind::Repetitions, ProgressKind::ObjectCount => $this
                ->moreRepetitions($spec, $dose),
            ProgressKind::Passes => $dose->passes < $spec->cap
                ? $dose->withPasses(min($spec->cap, $dose->passes + $spec->step))
                : null,
            ProgressKind::StretchHold => null === (
                $next = self::nextStep($spec->steps, $dose->holdSeconds)
            )
                ? null
                : $dose->withHold((int) $next),
            ProgressKind::Load => null === (
                $next = self::nextStep($spec->steps, $dose->loadKilograms)
            )
                ? null
                : $dose->withLoad($next),
            ProgressKind::Review => null, // the therapist decides
            default => $this->atHarder($spec, $dose),
        };

        return null !== $raised && $raised->isAtMost($this->mostOf($raised)) ? $raised : null;
    }

    /** One level harder; a new stage begins with the count of the start and the least hold. */
    private function atHarder(ProgressSpec $spec, Dose $dose): ?Dose
    {
        $challenge = $spec->kind->challenge();
        $harder = null === $challenge ? [] : $this->levelsBeside($spec, $challenge, $dose, 1);
        if (null === $challenge || [] === $harder) {
            return null;
        }
        $start = $this->rung->dosing->start;
        $dose = $challenge->isStage()
            ? $dose->withHold($this->rung->dosing->range->holdSeconds[0])->withRepetitions(
                $start->repetitions,
            )
            : $dose;

        return $dose->at($challenge, $harder[0]);
    }

    /**
     * More help is no easier dose: what hurts, hurts with it as well.
     *
     * @param \Closure(Challenge): bool $which
     */
    private function atEasier(Dose $dose, \Closure $which): ?Dose
    {
        foreach (array_reverse($this->rung->dosing->progress) as $spec) {
            $challenge = $spec->kind->challenge();
            if (null === $challenge || Challenge::Help === $challenge || !$which($challenge)) {
                continue;
            }
            $easier = $this->levelsBeside($spec, $challenge, $dose, -1);
            if ([] !== $easier) {
                return $dose->at($challenge, $easier[array_key_last($easier)]);
            }
        }

        return null;
    }

    /** @return list<int|float|string> harder (1) or easier (-1) than that of the dose, from easy to hard */
    private function levelsBeside(ProgressSpec $spec, Challenge $challenge, Dose $dose, int $way): array
    {
        $now = $dose->levels->at($challenge);
        $levels = Challenge::Angle === $challenge && $this->atHome ? self::ANGLES_AT_HOME : $spec->levels;

        return null === $now ? [] : array_values(array_filter(
            $levels,
            static fn (int|float|string $level): bool => $way
                === ($challenge->hardness($level) <=> $challenge->hardness($now)),
        ));
    }

    private function mostOf(Dose $dose): Dose
    {
        return $this->rung->dosing->range->clamp($dose);
    }

    private function moreRepetitions(ProgressSpec $spec, Dose $dose): ?Dose
    {
        if ($dose->repetitions >= $spec->cap) {
            return null;
        }
        $next = min($spec->cap, $dose->repetitions + $spec->step);
        $stops = $spec->cap > self::STOPS_FIRST_AT
            && $dose->repetitions < self::STOPS_FIRST_AT
            && $next > self::STOPS_FIRST_AT;

        return $dose->withRepetitions($stops ? self::STOPS_FIRST_AT : $next);
    }

    private function shorterHold(Dose $dose): ?int
    {
        $least = $this->rung->dosing->range->holdSeconds[0];
        if ($dose->holdSeconds <= max($least, 0)) {
            return null;
        }
        foreach ($this->rung->dosing->progress as $spec) {
            if (ProgressKind::StretchHold === $spec->kind) {
                $lower = array_filter(
                    $spec->steps,
                    static fn (float $s): bool => $s < $dose->holdSeconds,
                );

                return [] === $lower // under the first step: half of it
                    ? max($least, intdiv($dose->holdSeconds, 2))
                    : (int) max($lower);
            }
            if (ProgressKind::HoldCount === $spec->kind) {
                return max($least, $dose->holdSeconds - $spec->step);
            }
        }

        return max($least, $dose->holdSeconds - 1);
    }

    private function lighter(float $load): float
    {
        foreach ($this->rung->dosing->progress as $spec) {
            if (ProgressKind::Load === $spec->kind) {
                $lower = array_filter(
                    $spec->steps,
                    static fn (float $s): bool => $s < $load - 1e-9,
                );

                return [] === $lower ? $this->rung->dosing->range->loadKilograms[0] : max($lower);
            }
        }

        return $this->rung->dosing->range->loadKilograms[0];
    }

    private function stepOf(ProgressKind $kind): ?int
    {
        foreach ($this->rung->dosing->progress as $spec) {
            if ($spec->kind === $kind) {
                return $spec->step;
            }
        }

        return null;
    }

    /** @param list<float> $steps */
    private static function nextStep(array $steps, float $now): ?float
    {
        foreach ($steps as $step) {
            if ($step > $now + 1e-9) {
                return $step;
            }
        }

        return null;
    }
}
