<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/**
 * Tone that is tighter after the item, several sittings running: after gripping release first, and less of it; what
 * keeps a hand long only slower; all else one set fewer, with twice the rest.
 */
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

        return match ($history->item->rung->demands->purpose) {
            // as long as before, only slower: less of it would make it tighter
            Purpose::Lengthening, Purpose::Positioning, Purpose::Opening, Purpose::LettingGo => $history->proposal(
                ProposalKind::Review,
                'ease.tone-slower',
                $lines,
                new Phrase('proposal.because.slower', ['times' => $running]),
            ),
            Purpose::Grip => $history->proposal(
                ProposalKind::ReleaseFirst,
                'ease.tone',
                $lines,
                new Phrase('proposal.because.tighter', ['times' => $running]),
                to: $history->lower(),
            ),
            Purpose::Attempt, Purpose::Other => self::rested($history, $lines, $running),
        };
    }

    /** @param list<LogLine> $lines */
    private static function rested(ItemHistory $history, array $lines, int $running): Proposal
    {
        $rested = $history->item->rung->dosing->restedMore($history->item->dose);

        return $history->proposal(
            ProposalKind::Lighter,
            null === $rested ? 'ease.tone-less' : 'ease.tone-rest',
            $lines,
            new Phrase(
                null === $rested ? 'proposal.because.tighter_less' : 'proposal.because.tighter_rest',
                ['times' => $running],
            ),
            to: $rested ?? $history->lower(),
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
