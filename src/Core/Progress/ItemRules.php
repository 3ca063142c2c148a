<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Catalogue\Rung;

/** What the log of one item asks for. The safe answer comes first; one change per item. */
final readonly class ItemRules
{
    private Symptoms $symptoms;

    /** @param list<Rung> $fitting rungs of the ladder that fit the client, easiest first */
    public function __construct(
        private Ladder $ladder,
        private array $fitting,
        private ProgressSettings $settings,
        private float $scheduledInWindow,
    ) {
        $this->symptoms = new Symptoms($settings);
    }

    /** @param list<LogLine> $lines of the item, oldest first */
    public function propose(Prescribed $item, array $lines, \DateTimeImmutable $today): ?Proposal
    {
        $window = SittingLog::since($lines, $today->modify('-'.$this->settings->windowDays.' days'));
        if ([] === $window) {
            return null;
        }
        $last = $window[array_key_last($window)];
        if ($this->symptoms->suspends($last)) {
            return $this->make(
                ProposalKind::Suspend,
                'ease.suspend',
                $item,
                [$last],
                text: self::why($last).'. The item rests until a therapist reopens it.',
            );
        }
        if (!self::isSameDose($last->dose, $item->dose)) {
            return null; // the dose was changed since; the log has nothing to say about it yet
        }

        return $this->ease($item, $window, $last)
            ?? $this->advance($item, $window)
            ?? $this->plateau($item, $window, $lines, $today);
    }

    /** @param non-empty-list<LogLine> $window */
    private function ease(Prescribed $item, array $window, LogLine $last): ?Proposal
    {
        if ($this->symptoms->eases($last)) {
            return $this->down($item, [$last], 'ease.pain', self::why($last).'.');
        }
        $tighter = \array_slice($window, -$this->settings->tighterSittings);
        if (
            \count($tighter) === $this->settings->tighterSittings
            && [] === array_filter(
                $tighter,
                static fn (LogLine $l): bool => ToneAfter::Tighter !== $l->tone,
            )
        ) {
            $lower = (new DoseSteps($item->rung))->down($item->dose);

            return $this->make(
                ProposalKind::ReleaseFirst,
                'ease.tone',
                $item,
                $tighter,
                text: 'Tone was tighter after this item twice running: opening and release before it, and less of it.',
                to: $lower,
            );
        }
        $tricks = array_values(
            array_filter($window, static fn (LogLine $l): bool => [] !== $l->compensations),
        );
        if (
            \count($window) >= $this->settings->leastSittings
            && \count($tricks) > $this->settings->compensationShare * \count($window)
            && [] !== $last->compensations
        ) {
            $lower = (new DoseSteps($item->rung))->down($item->dose);

            return $this->make(
                ProposalKind::Lighter,
                'ease.compensation',
                $item,
                $tricks,
                text: \sprintf(
                    'Another part helped in %d of %d sittings: smaller range or lighter object.',
                    \count($tricks),
                    \count($window),
                ),
                to: $lower,
            );
        }

        return null;
    }

    /** @param non-empty-list<LogLine> $window */
    private function advance(Prescribed $item, array $window): ?Proposal
    {
        if (
            \count($window) < $this->settings->leastSittings
            || [] !== array_filter($window, $this->symptoms->any(...))
        ) {
            return null;
        }
        $steps = new DoseSteps($item->rung);
        $rule = $steps->current($item->dose);
        $met = $this->metLines($window, $item->dose, $rule->repetitionsNeeded ?? 0);
        $specs = $item->rung->progress;
        $days = match (true) {
            null !== $rule => $rule->days,
            [] === $specs => \PHP_INT_MAX,
            default => $specs[array_key_last($specs)]->days,
        };
        if (SittingLog::days($met) < $days) {
            return null;
        }
        $evidence = \sprintf(
            'Target met on %d days, clean and without a symptom in %d sittings.',
            SittingLog::days($met),
            \count($window),
        );
        $up = $steps->up($item->dose);
        if (null !== $rule && null !== $up) {
            return $this->make(
                ProposalKind::Advance,
                'advance.'.$rule->kind->value,
                $item,
                $met,
                text: $evidence,
                to: $up,
            );
        }
        $next = LadderKind::Climb === $this->ladder->kind && $this->hasAutomaticRule($item->rung)
            ? $this->neighbour($item->rung, 1)
            : null;

        return null === $next
            ? null
            : $this->make(
                ProposalKind::NextRung,
                'advance.next-rung',
                $item,
                $met,
                text: $evidence.' The dose is at its top: the next rung is '.$next->name.'.',
                to: $next,
            );
    }

    /**
     * @param list<LogLine> $window
     * @param list<LogLine> $lines
     */
    private function plateau(
        Prescribed $item,
        array $window,
        array $lines,
        \DateTimeImmutable $today,
    ): ?Proposal {
        $steps = new DoseSteps($item->rung);
        $sinceLong = [] !== $lines
            && $lines[0]->day <= $today->modify('-'.$this->settings->windowDays.' days');
        $sameDose = [] === array_filter(
            $window,
            static fn (LogLine $l): bool => !self::isSameDose($l->dose, $item->dose),
        );
        $done = array_sum(array_map(static fn (LogLine $l): float => $l->outcome->share(), $window));
        if (
            !$this->hasAutomaticRule($item->rung)
            || $steps->isAtCap($item->dose)
            || !$sinceLong
            || !$sameDose
            || $this->scheduledInWindow <= 0.0
            || $done / $this->scheduledInWindow < $this->settings->plateauAdherence
        ) {
            return null;
        }

        return $this->make(
            ProposalKind::Plateau,
            'plateau',
            $item,
            $window,
            text: \sprintf(
                'No step up in %d days although %.0f of %.0f sittings were done: try another rung, another approach, '
                    .'or review.',
                $this->settings->windowDays,
                $done,
                $this->scheduledInWindow,
            ),
        );
    }

    /**
     * Sittings at this dose or more in which the target was met, with no more help than before.
     *
     * @param list<LogLine> $window
     *
     * @return list<LogLine>
     */
    private function metLines(array $window, Dose $dose, int $repetitionsNeeded): array
    {
        $met = [];
        $leastHelp = \PHP_INT_MAX;
        foreach ($window as $line) {
            $atDose = $dose->isAtMost($line->dose);
            $enough = ($line->repetitions ?? $line->dose->repetitions) >= $repetitionsNeeded;
            if (
                $atDose
                && $enough
                && $line->metTarget()
                && ($line->painAfterCounted() ?? 0) < $this->settings->painFrom
                && $line->help->rank() <= $leastHelp
            ) {
                $met[] = $line;
            }
            $leastHelp = min($leastHelp, $line->help->rank());
        }

        return $met;
    }

    /** @param list<LogLine> $evidence */
    private function down(Prescribed $item, array $evidence, string $ruleId, string $why): Proposal
    {
        $lower = (new DoseSteps($item->rung))->down($item->dose);
        if (null !== $lower) {
            return $this->make(
                ProposalKind::Ease,
                $ruleId,
                $item,
                $evidence,
                text: $why.' One dose step down, then two sittings as they are.',
                to: $lower,
            );
        }
        $below = $this->neighbour($item->rung, -1);

        return null === $below
            ? $this->make(
                ProposalKind::Suspend,
                $ruleId,
                $item,
                $evidence,
                text: $why.' This is the least of the easiest rung: leave it out.',
            )
            : $this->make(
                ProposalKind::RungBelow,
                $ruleId,
                $item,
                $evidence,
                text: $why.' The dose is at its least: the rung below is '.$below->name.'.',
                to: $below,
            );
    }

    private function neighbour(Rung $rung, int $step): ?Rung
    {
        $at = array_search($rung, $this->fitting, true);

        return false === $at ? null : ($this->fitting[$at + $step] ?? null);
    }

    private function hasAutomaticRule(Rung $rung): bool
    {
        return [] !== array_filter(
            $rung->progress,
            static fn ($spec): bool => $spec->kind->isAutomatic(),
        );
    }

    /**
     * @param list<LogLine> $evidence
     * @param Dose|Rung|null $to the dose or the rung that is proposed instead
     */
    private function make(
        ProposalKind $kind,
        string $ruleId,
        Prescribed $item,
        array $evidence,
        string $text,
        Dose|Rung|null $to = null,
    ): Proposal {
        return new Proposal(
            $kind,
            $ruleId,
            $text,
            array_map(static fn (LogLine $l): string => $l->id, $evidence),
            rungId: $item->rung->id,
            hands: $item->hands,
            from: $item->dose,
            to: $to instanceof Dose ? $to : null,
            toRungId: $to instanceof Rung ? $to->id : null,
        );
    }

    private static function isSameDose(Dose $a, Dose $b): bool
    {
        return $a->isAtMost($b) && $b->isAtMost($a);
    }

    private static function why(LogLine $line): string
    {
        return match (true) {
            $line->systemic => 'Dizzy, breathless, chest pain, faint or signs of a stroke on '
                .$line->day->format('j M'),
            $line->newTingling => 'New tingling or numbness on '.$line->day->format('j M'),
            $line->hurtLater => 'It hurt for hours, or the next morning, after '
                .$line->day->format('j M'),
            default => \sprintf(
                'Pain went from %s to %s on %s',
                $line->painBefore ?? '0',
                $line->painAfter ?? '?',
                $line->day->format('j M'),
            ),
        };
    }
}
