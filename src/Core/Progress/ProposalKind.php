<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** What a proposal is for. The values are codes; the words for them stand in `translations/`. */
enum ProposalKind: string
{
    case Suspend = 'suspend';
    case SuspendRoutine = 'suspend-routine';
    case Ease = 'ease';
    case RungBelow = 'rung-below';
    case ReleaseFirst = 'release-first';
    case Lighter = 'lighter';
    case Shorten = 'shorten-sitting';
    case StepDownAfterBreak = 'step-down-after-a-break';
    case PlaceAgain = 'measure-and-place-again';
    case Advance = 'advance';
    case NextRung = 'next-rung';
    /** The next exercise could be tried, were something measured first. */
    case ReadyToTry = 'ready-to-try';
    case Plateau = 'plateau';
    /** Something to look at and to answer; it changes nothing by itself. */
    case Review = 'review';

    /** Symptom > ease > hold > advance. */
    public function precedence(): int
    {
        return match ($this) {
            self::SuspendRoutine => 0,
            self::Suspend => 1,
            self::Ease, self::RungBelow, self::ReleaseFirst, self::Lighter, self::Shorten => 2,
            self::PlaceAgain, self::StepDownAfterBreak, self::Review => 3,
            self::Plateau => 4,
            self::Advance, self::NextRung, self::ReadyToTry => 5,
        };
    }

    /** One question that is quiet for a time once it was answered. */
    public function isACard(): bool
    {
        return \in_array(
            $this,
            [self::Review, self::Plateau, self::Shorten, self::ReadyToTry],
            true,
        );
    }

    public function isMore(): bool
    {
        return self::Advance === $this || self::NextRung === $this;
    }
}
