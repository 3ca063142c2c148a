<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/**
 * Pain that rose: one dose step below what it rose at, so that steps up that came after it are taken back; at the least
 * dose the rung below, or none.
 */
final readonly class EaseOnPain implements ItemRule
{
    private const ID = 'ease.pain';

    public function propose(ItemHistory $history): ?Proposal
    {
        if ($history->item->rung->isRest()) {
            return null; // lying still does not hurt: what did was something else
        }
        $symptoms = $history->symptoms();
        // a better line later does not outlive it; what was harder than it is now has been made easier since
        $last = $history->newest(
            static fn (LogLine $l): bool => $symptoms->eases($l) && !$history->isHarder($l),
        );
        if (null === $last) {
            return null;
        }
        $why = ItemHistory::why($last);
        $lower = $history->lowerThan($last);
        if (null !== $lower) {
            return $history->proposal(
                ProposalKind::Ease,
                self::ID,
                [$last],
                new Phrase('proposal.because.step_down', ['why' => $why]),
                to: $lower,
            );
        }
        $below = $history->neighbour(-1);

        return null === $below
            ? $history->proposal(
                ProposalKind::Suspend,
                self::ID,
                [$last],
                new Phrase('proposal.because.least', ['why' => $why]),
            )
            : $history->proposal(
                ProposalKind::RungBelow,
                self::ID,
                [$last],
                new Phrase(
                    'proposal.because.rung_below',
                    ['why' => $why, 'rung' => $below->name],
                ),
                to: $below,
            );
    }

    public function holdsAtAnyDose(): bool
    {
        return true;
    }
}
