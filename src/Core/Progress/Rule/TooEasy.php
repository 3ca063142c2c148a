<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\PracticeDay;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\Phrase;

/** Called too easy on two days, where no number makes it grow: the therapist looks. It is a word and no evidence. */
final readonly class TooEasy implements ItemRule
{
    private const DAYS = 2;

    public function propose(ItemHistory $history): ?Proposal
    {
        $days = \array_slice($history->daysAtThisDose(), -self::DAYS);
        $easy = array_filter($days, static fn (PracticeDay $d): bool => $d->felt(Felt::TooEasy));
        $isClean = [] === array_filter($history->window, $history->symptoms()->any(...));

        return \count($easy) < self::DAYS || !$isClean ? null : $history->proposal(
            ProposalKind::Review,
            'review.too-easy',
            PracticeDay::linesOf($days),
            new Phrase('proposal.because.too_easy', ['days' => self::DAYS]),
        );
    }

    public function holdsAtAnyDose(): bool
    {
        return false;
    }
}
