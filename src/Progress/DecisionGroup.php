<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;

/** What kind of word is asked for, in the order in which a therapist goes through them. */
enum DecisionGroup: string
{
    /** Something to look at. */
    case Review = 'review';
    /** Less is given already; confirmed or lifted. */
    case Confirm = 'confirm';
    case Steps = 'steps';
    case Next = 'next';
    case Talk = 'talk';

    public static function of(Proposal $proposal): self
    {
        return match (true) {
            ProposalKind::Advance === $proposal->kind => self::Steps,
            ProposalKind::NextRung === $proposal->kind,
            ProposalKind::ReadyToTry === $proposal->kind => self::Next,
            $proposal->holdsDown(), ProposalKind::SuspendRoutine === $proposal->kind => self::Confirm,
            'review.seldom' === $proposal->ruleId, ProposalKind::Plateau === $proposal->kind => self::Talk,
            default => self::Review,
        };
    }
}
