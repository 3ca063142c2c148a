<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Words\Phrase;

/** Tone that is tighter after the item, several sittings running: release first, and less of it. */
final readonly class ReleaseWhenTighter implements ItemRule
{
    public function propose(ItemHistory $history): ?Proposal
    {
        $running = $history->settings->tighterSittings;
        $tighter = array_values(array_filter(
            \array_slice($history->window, -$running),
            static fn (LogLine $l): bool => ToneAfter::Tighter === $l->tone,
        ));

        return \count($tighter) < $running ? null : $history->proposal(
            ProposalKind::ReleaseFirst,
            'ease.tone',
            $tighter,
            new Phrase('proposal.because.tighter', ['times' => $running]),
            to: $history->lower(),
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
