<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\LadderKind;
use HandGarden\Core\Measure\Statistics;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Words\Phrase;

/**
 * The target met on enough days, in enough sittings, without any symptom: one dose step up, and at the top of the dose
 * the next rung.
 */
final readonly class Advance implements ItemRule
{
    private const DAYS_OF_HELP = 5;
    private const NONE_TOLD = -1;

    public function propose(ItemHistory $history): ?Proposal
    {
        if ([] !== array_filter($history->window, $history->symptoms()->any(...))) {
            return null;
        }
        $told = $history->ofWhatWasTold();

        return null === $told ? null : $this->onEvidence($told);
    }

    private function onEvidence(ItemHistory $history): ?Proposal
    {
        if (\count($history->window) < $history->settings->leastSittings || $this->tricksForbid($history)) {
            return null;
        }
        $dose = $history->item->dose;
        $rule = $history->steps()->current($dose);
        $rung = $history->item->rung;
        $target = new Target($rule, $rung->walk, $dose, $rung->dosing->range);
        $met = self::metLines($history, $target);
        $specs = $rung->dosing->progress;
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
                to: $target->step($up, $met),
            )
            : self::nextRung($history, $met, $evidence);
    }

    /**
     * A trick on more than a third of the days or on one of the last two; and after it was made easier, too few clean
     * days since.
     */
    private function tricksForbid(ItemHistory $history): bool
    {
        $days = $history->days();
        $tricks = array_filter($days, static fn (PracticeDay $d): bool => $d->hasTrick());
        $last = array_filter(
            \array_slice($days, -2),
            static fn (PracticeDay $d): bool => $d->hasTrick(),
        );
        $clean = array_filter(
            $history->daysAtThisDose(),
            static fn (PracticeDay $d): bool => !$d->hasTrick(),
        );

        return [] !== $last
            || \count($tricks) > $history->settings->compensationShare * \count($days)
            || ($history->timesEased() > 0 && \count($clean) < $history->settings->cleanDays);
    }

    /** @param list<LogLine> $met */
    private static function nextRung(
        ItemHistory $history,
        array $met,
        Phrase $evidence,
    ): ?Proposal {
        $isClimbed = LadderKind::Climb === $history->ladder->kind && $history->hasAutomaticRule();
        $next = $isClimbed ? $history->neighbour(1) : null;

        return null === $next ? null : $history->proposal(
            ProposalKind::NextRung,
            'advance.next-rung',
            $met,
            new Phrase(
                'proposal.because.next_rung',
                ['evidence' => $evidence, 'rung' => $next->name],
            ),
            to: $next,
        );
    }

    /** The middle of the last days at this dose of which it was told, and no more than on the first of them. */
    private static function usualHelp(ItemHistory $history): int
    {
        $told = array_values(array_filter(array_map(
            static fn (PracticeDay $d): ?int => $d->help(),
            \array_slice($history->daysAtThisDose(), -self::DAYS_OF_HELP),
        ), static fn (?int $rank): bool => null !== $rank));

        return [] === $told ? self::NONE_TOLD : (int) min(
            $told[0],
            floor(Statistics::median(array_map(\floatval(...), $told))),
        );
    }

    /**
     * Sittings at this dose or more in which the target was met, with no more help than before.
     *
     * @return list<LogLine>
     */
    private static function metLines(ItemHistory $history, Target $target): array
    {
        $met = [];
        $usualHelp = self::usualHelp($history);
        foreach ($history->window as $line) {
            if (
                $history->isAtLeastAsHard($line)
                && $target->isMet($line)
                && ($line->painAfterCounted() ?? 0) < $history->painLimit()
                && ($line->help?->rank() ?? 0) <= $usualHelp // what nobody told counts where the others tell
            ) {
                $met[] = $line;
            }
        }

        return $met;
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
