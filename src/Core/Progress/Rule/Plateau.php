<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** Done as planned for a whole window at one dose below the top, and no step up: something else is to be tried. */
final readonly class Plateau implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $done = array_sum(
            array_map(static fn (LogLine $l): float => $l->outcome->share(), $history->window),
        );
        $planned = $history->scheduledInWindow;
        if (
            !$history->hasAutomaticRule()
            || $history->steps()->isAtCap($history->item->dose)
            || $history->begunOn > $history->settings->windowFrom($history->today)
            || !self::isOneDose($history)
            || $planned <= 0.0
            || $done / $planned < $history->settings->plateauAdherence
        ) {
            return null;
        }

        return $history->proposal(
            ProposalKind::Plateau,
            'plateau',
            $history->window,
            new Phrase('proposal.because.plateau', [
                'days' => $history->settings->windowDays,
                'done' => round($done),
                'planned' => round($planned),
            ]),
        );
    }

    private static function isOneDose(ItemHistory $history): bool
    {
        foreach ($history->window as $line) {
            if (!$history->isAtPrescribedDose($line)) {
                return false;
            }
        }

        return true;
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
