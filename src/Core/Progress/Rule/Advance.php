<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Words\Phrase;

/**
 * The target met on enough days, in enough sittings, without any symptom: one dose step up, and at the top of the dose
 * the next rung.
 */
final readonly class Advance implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $symptoms = new Symptoms($history->settings);
        if (
            \count($history->window) < $history->settings->leastSittings
            || [] !== array_filter($history->window, $symptoms->any(...))
        ) {
            return null;
        }
        $dose = $history->item->dose;
        $rule = $history->steps()->current($dose);
        $met = self::metLines($history, $dose, $rule->repetitionsNeeded ?? 0);
        $specs = $history->item->rung->dosing->progress;
        $days = match (true) {
            null !== $rule => $rule->days,
            [] === $specs => \PHP_INT_MAX,
            default => $specs[array_key_last($specs)]->days,
        };
        if (SittingLog::days($met) < $days) {
            return null;
        }
        $evidence = new Phrase('proposal.because.met', [
            'days' => SittingLog::days($met),
            'sittings' => \count($history->window),
        ]);
        $up = $history->steps()->up($dose);

        return null !== $rule && null !== $up
            ? $history->proposal(
                ProposalKind::Advance,
                'advance.'.$rule->kind->value,
                $met,
                $evidence,
                to: $up,
            )
            : self::nextRung($history, $met, $evidence);
    }

    /** @param list<LogLine> $met */
    private static function nextRung(ItemHistory $history, array $met, Phrase $evidence): ?Proposal
    {
        $isClimbed = LadderKind::Climb === $history->ladder->kind && $history->hasAutomaticRule();
        $next = $isClimbed ? $history->neighbour(1) : null;

        return null === $next ? null : $history->proposal(
            ProposalKind::NextRung,
            'advance.next-rung',
            $met,
            new Phrase('proposal.because.next_rung', ['evidence' => $evidence, 'rung' => $next->name]),
            to: $next,
        );
    }

    /**
     * Sittings at this dose or more in which the target was met, with no more help than before.
     *
     * @return list<LogLine>
     */
    private static function metLines(ItemHistory $history, Dose $dose, int $repetitionsNeeded): array
    {
        $met = [];
        $leastHelp = \PHP_INT_MAX;
        foreach ($history->window as $line) {
            $enough = ($line->repetitions ?? $line->dose->repetitions) >= $repetitionsNeeded;
            if (
                $dose->isAtMost($line->dose)
                && $enough
                && $line->metTarget()
                && ($line->painAfterCounted() ?? 0) < $history->settings->painFrom
                && $line->help->rank() <= $leastHelp
            ) {
                $met[] = $line;
            }
            $leastHelp = min($leastHelp, $line->help->rank());
        }

        return $met;
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
