<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** Another part helps too often, and did the last time: smaller or lighter. */
final readonly class LighterOnTricks implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $sittings = \count($history->window);
        $tricks = array_values(
            array_filter($history->window, static fn (LogLine $l): bool => [] !== $l->compensations),
        );
        if (
            $sittings < $history->settings->leastSittings
            || \count($tricks) <= $history->settings->compensationShare * $sittings
            || [] === $history->last()->compensations
        ) {
            return null;
        }

        return $history->proposal(
            ProposalKind::Lighter,
            'ease.compensation',
            $tricks,
            new Phrase('proposal.because.tricks', ['tricks' => \count($tricks), 'sittings' => $sittings]),
            to: $history->lower(),
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
