<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** Tone that is tighter after the item, several sittings running: release first, and less of it. */
final readonly class ReleaseWhenTighter implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $running = $history->settings->tighterSittings;
        $tighter = array_values(array_filter(
            \array_slice($history->days(), -$running),
            static fn (PracticeDay $d): bool => $d->isTighter(),
        ));
        if (\count($tighter) < $running) {
            return null;
        }
        $lines = PracticeDay::linesOf($tighter);
        $keepsLong = match ($history->item->rung->demands->purpose) {
            Purpose::Lengthening, Purpose::Positioning, Purpose::Opening, Purpose::LettingGo => true,
            Purpose::Attempt, Purpose::Grip, Purpose::Other => false,
        };

        return $keepsLong // as long as before, only slower: less of it would make it tighter
            ? $history->proposal(
                ProposalKind::Review,
                'ease.tone-slower',
                $lines,
                new Phrase('proposal.because.slower', ['times' => $running]),
            )
            : $history->proposal(
                ProposalKind::ReleaseFirst,
                'ease.tone',
                $lines,
                new Phrase('proposal.because.tighter', ['times' => $running]),
                to: $history->lower(),
            );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
