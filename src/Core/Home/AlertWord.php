<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

/** How far somebody at home is told that what they sent has come: never that somebody is watching. */
enum AlertWord: string
{
    case Received = 'received';
    case Seen = 'seen';
    case Answered = 'answered';
    /** Nobody has answered within the limit of its kind. */
    case LimitPassed = 'limit-passed';

    public static function of(bool $isSeen, bool $isAnswered, bool $isOverdue): self
    {
        return match (true) {
            $isAnswered => self::Answered,
            $isOverdue => self::LimitPassed,
            $isSeen => self::Seen,
            default => self::Received,
        };
    }
}
