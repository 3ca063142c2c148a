<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\Symptoms;

/** Pain that rose: one dose step down; at the least dose the rung below, or none. */
final readonly class EaseOnPain implements ItemRule
{
    private const ID = 'ease.pain';

    public function propose(ItemHistory $history): ?Proposal
    {
        $last = $history->last();
        if (!(new Symptoms($history->settings))->eases($last)) {
            return null;
        }
        $why = ItemHistory::why($last).'.';
        $lower = $history->lower();
        if (null !== $lower) {
            return $history->proposal(
                ProposalKind::Ease,
                self::ID,
                [$last],
                $why.' One dose step down, then two sittings as they are.',
                to: $lower,
            );
        }
        $below = $history->neighbour(-1);

        return null === $below
            ? $history->proposal(
                ProposalKind::Suspend,
                self::ID,
                [$last],
                $why.' This is the least of the easiest rung: leave it out.',
            )
            : $history->proposal(
                ProposalKind::RungBelow,
                self::ID,
                [$last],
                $why.' The dose is at its least: the rung below is '.$below->name.'.',
                to: $below,
            );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
