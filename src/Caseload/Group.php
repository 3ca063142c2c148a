<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use HandGarden\Core\Progress\ProposalKind;

/** What somebody on the list of the day is there for; the first that holds, in this order. */
enum Group: string
{
    /** Something happened that nobody has answered. */
    case Alerts = 'alerts';
    /** Rests after a symptom until a therapist has looked, or is to be looked at again. */
    case Held = 'held';
    /** The rules ask for a look at the whole, or speak for less. */
    case Review = 'review';
    /** A visit is agreed for today. */
    case Visit = 'visit';
    /** To be measured, screened or begun with, or a step of the block. */
    case Due = 'due';
    /** A step that a therapist accepts, adjusts or declines. */
    case Steps = 'steps';
    /** Seldom done. */
    case Talk = 'talk';
    case Quiet = 'quiet';

    public function rank(): int
    {
        return (int) array_search(
            $this,
            self::cases(),
            true,
        );
    }

    public static function ofProposal(ProposalKind $kind): self
    {
        return match ($kind) {
            ProposalKind::Advance, ProposalKind::NextRung => self::Steps,
            default => self::Review,
        };
    }
}
