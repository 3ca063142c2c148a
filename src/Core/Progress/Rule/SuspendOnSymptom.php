<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** A symptom that stops the item at once, whatever the dose is by now. */
final readonly class SuspendOnSymptom implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        if ($history->item->rung->isRest()) {
            return null; // lying still does not hurt: what did was something else
        }
        $symptoms = $history->symptoms();
        $last = $history->newest($symptoms->suspends(...)); // a better line later does not outlive it

        return null === $last ? null : $history->proposal(
            ProposalKind::Suspend,
            'ease.suspend',
            [$last],
            new Phrase('proposal.because.rests', ['why' => ItemHistory::why($last)]),
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return true;
    }
}
