<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseRange;
use HandGarden\Core\Catalogue\ProgressKind;
use HandGarden\Core\Catalogue\ProgressSpec;
use HandGarden\Core\Cue\Walk;
use HandGarden\Core\Cue\WalkKind;
use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Help;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Outcome;

/** What a rule of progress asks of a sitting, and how far it steps after those that met it. */
final readonly class Target
{
    private const BEST_OF = 3;

    /** @param ?ProgressSpec $rule null: all rules are at their cap, the dose itself is the target */
    public function __construct(
        private ?ProgressSpec $rule,
        private Walk $walk,
        private Dose $dose,
        private DoseRange $range,
    ) {
    }

    /** Done in full and cleanly, as hard as it was set, and not called too hard. What is counted was told. */
    public function isMet(LogLine $line): bool
    {
        if (Felt::TooHard === $line->felt) {
            return false;
        }

        return match ($this->rule?->kind) {
            ProgressKind::WristAngle => $this->isLetGo($line),
            ProgressKind::Tempo => $line->metTarget() && $this->errors($line) < $this->rule->share,
            ProgressKind::Caller => $line->metTarget() && $this->errors($line) <= $this->rule->share,
            ProgressKind::Help => $line->metTarget() && $this->isLessHelp($line->help),
            default => $line->metTarget()
                && ($line->repetitions ?? $line->dose->repetitions) >= $this->repetitionsNeeded()
                && ($line->holdSeconds ?? $line->dose->holdSeconds) >= $this->holdSecondsNeeded(),
        };
    }

    /**
     * The step that the evidence carries: one more than the best of the last three, or no more help than was given.
     *
     * @param list<LogLine> $met oldest first
     */
    public function step(Dose $up, array $met): Dose
    {
        $last = \array_slice($met, -self::BEST_OF);
        if (ProgressKind::ObjectCount === $this->rule?->kind) {
            $best = max(0, ...array_map(static fn (LogLine $l): int => $l->repetitions ?? 0, $last));

            return $up->withRepetitions(min($this->rule->cap, max($up->repetitions, $best + 1)));
        }
        if (ProgressKind::Help === $this->rule?->kind) {
            $given = array_map(static fn (LogLine $l): int => $l->help?->rank() ?? 0, $last);

            return $up->at(Challenge::Help, $this->withinLevels(max([0, ...$given])));
        }

        return $up;
    }

    /** The level that stands for so much help: the next where it is none of the exercise. */
    private function withinLevels(int $rank): string
    {
        $level = Help::None;
        foreach (Help::cases() as $help) {
            $isLevel = \in_array($help->value, $this->rule->levels ?? [], true);
            if ($isLevel && $help->rank() >= $rank) {
                return $help->value;
            }
            $level = $isLevel ? $help : $level;
        }

        return $level->value;
    }

    private function isLetGo(LogLine $line): bool
    {
        return Outcome::Skipped !== $line->outcome
            && [] === $line->compensations
            && null !== $line->repetitions
            && $line->repetitions >= ($this->rule->share ?? 1.0) * $line->dose->repetitions;
    }

    /** The share of its chances that went wrong; all of them where nobody counted. */
    private function errors(LogLine $line): float
    {
        return null === $line->errors ? 1.0 : $line->errors / max(1, $this->chances($line->dose));
    }

    /** How often something may go wrong: at each touch, shape, call or beat. */
    private function chances(Dose $dose): int
    {
        $each = match ($this->walk->kind) {
            WalkKind::Sets => substr_count($this->walk->units[0] ?? '', ' ') + 1,
            WalkKind::Beat => (int) round(($this->walk->beat->start ?? 0) * $dose->moveSeconds / 60),
            default => $dose->parts,
        };

        return $each * $dose->sets * $dose->passes * $dose->repetitions;
    }

    private function isLessHelp(?Help $told): bool
    {
        $set = $this->dose->levels->at(Challenge::Help);

        return null !== $told
            && null !== $set
            && Challenge::Help->hardness($told->value) > Challenge::Help->hardness($set);
    }

    private function repetitionsNeeded(): int
    {
        return min($this->rule->repetitionsNeeded ?? 0, $this->range->repetitions[1]);
    }

    private function holdSecondsNeeded(): int
    {
        return min($this->rule->holdSecondsNeeded ?? 0, $this->range->holdSeconds[1]);
    }
}
