<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** Another part helps too often, and did the last time: smaller or lighter. */
final readonly class LighterOnTricks implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $days = $history->daysAtThisDose();
        $tricks = array_values(array_filter($days, static fn (PracticeDay $d): bool => $d->hasTrick()));
        if (
            \count($days) < $history->settings->leastSittings
            || \count($tricks) <= $history->settings->compensationShare * \count($days)
            || [] === array_filter(
                \array_slice($days, -1),
                static fn (PracticeDay $d): bool => $d->hasTrick(),
            )
        ) {
            return null;
        }
        $lower = $history->lower();
        $stays = null === $lower || $history->timesEased() > 0; // at the least, or made easier for them not long ago

        return $history->proposal(
            $stays ? ProposalKind::Review : ProposalKind::Lighter,
            $stays ? 'review.tricks' : 'ease.compensation',
            PracticeDay::linesOf($tricks),
            new Phrase(
                $stays ? 'proposal.because.tricks_stay' : 'proposal.because.tricks',
                ['tricks' => \count($tricks), 'sittings' => \count($days)],
            ),
            to: $stays ? null : $lower,
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
