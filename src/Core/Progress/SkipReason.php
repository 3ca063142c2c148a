<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Why something was not done. */
enum SkipReason: string
{
    case Tired = 'tired';
    case Pain = 'pain';
    case NoTime = 'no-time';
    case NobodyHere = 'nobody-here';
    case NotUnderstood = 'not-understood';
    case ThingsMissing = 'things-missing';
    case Ill = 'ill';
    case Forgot = 'forgot';
    case Other = 'other';
    /** Something was wrong, and the program took it out. */
    case Stopped = 'stopped';
    /** Who cannot say so turned away, stiffened or pushed: a no. Nothing is asked, and it is not held against them. */
    case TurnedAway = 'turned-away';

    /** @return list<self> what somebody may give as their reason */
    public static function ofPeople(): array
    {
        $reasons = [];
        foreach (self::cases() as $reason) {
            if (!\in_array($reason, [self::Stopped, self::TurnedAway], true)) {
                $reasons[] = $reason;
            }
        }

        return $reasons;
    }
}
