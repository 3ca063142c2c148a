<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** Far under what was asked, or called too hard, two days running: one dose step down. A symptom had its say before. */
final readonly class TooHard implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $days = \array_slice($history->daysAtThisDose(), -$history->settings->missedDays);
        $missed = array_filter(
            $days,
            static fn (PracticeDay $d): bool => $d->reached() < $history->settings->missedBelow
                || $d->felt(Felt::TooHard),
        );
        $lower = $history->lower();
        $lines = PracticeDay::linesOf($days);
        if (\count($missed) < $history->settings->missedDays || null === $lower) {
            return null;
        }

        return $history->proposal(
            ProposalKind::Ease,
            'ease.target',
            $lines,
            new Phrase('proposal.because.missed', [
                'hard' => \count(
                    array_filter($days, static fn (PracticeDay $d): bool => $d->felt(Felt::TooHard)),
                ),
                'percent' => round(100 * $history->settings->missedBelow),
                'days' => $history->settings->missedDays,
            ]),
            to: $lower,
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
