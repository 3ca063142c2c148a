<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Words\Phrase;

/** A symptom that stops the item at once, whatever the dose is by now. */
final readonly class SuspendOnSymptom implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $symptoms = new Symptoms($history->settings);
        foreach (array_reverse($history->window) as $line) { // a better line later does not outlive it
            if ($symptoms->suspends($line)) {
                return $history->proposal(
                    ProposalKind::Suspend,
                    'ease.suspend',
                    [$line],
                    new Phrase('proposal.because.rests', ['why' => ItemHistory::why($line)]),
                );
            }
        }

        return null;
    }

    public function holdsAtAnyDose(): bool
    {
        return true;
    }
}
