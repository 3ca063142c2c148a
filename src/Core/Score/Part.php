<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

/** What of a stretch a cue belongs to. */
enum Part: string
{
    /** Getting ready: what is to come is shown. */
    case SetUp = 'set-up';
    /** Another way to sit, stand or lie. */
    case Position = 'position';
    case Work = 'work';
    /** Between two sets. */
    case Rest = 'rest';
    /** Between the two hands. */
    case OtherHand = 'other-hand';
    /** To the next finger, space or direction. */
    case Change = 'change';
    /** To the next exercise of a chain. */
    case GoOn = 'go-on';
    /** After the last set. */
    case Tail = 'tail';

    public function isWork(): bool
    {
        return self::Work === $this;
    }
}
