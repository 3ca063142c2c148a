<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What can happen in a sitting. Later kinds are added; none is ever given another meaning. */
enum EventKind: string
{
    case Begun = 'begun';
    /** What was done of one item, and how it went. */
    case Line = 'line';
    /** A running total of what is counted in an item, while it is done. */
    case Counted = 'counted';
    /** Which hand felt more of something. */
    case Noticed = 'noticed';
    /** Something was wrong; in an item, or between two. */
    case Wrong = 'wrong';
    /** Told later: it hurt for hours after the item, or the next morning. */
    case HurtLater = 'hurt-later';
    /** What the hands felt at a step of the hands-on release. */
    case Marked = 'marked';
    /** Slow opening and tone, before or after the release. */
    case Tested = 'tested';
    /** The release came to positioning, and why. */
    case Positioned = 'positioned';
    /** A therapist looked at what came long after: it counts. */
    case Looked = 'looked';
    /** The device it is played on no longer opens the plan: what comes from it after a time waits for a look. */
    case TakenOut = 'taken-out';
    /** Done by somebody who was not signed for it then: what was told of it waits for a look. */
    case Unsigned = 'unsigned';
    /** What was told at the end, of the sitting as a whole. */
    case After = 'after';
    case Finished = 'finished';

    /** Whether it may be told of an item. */
    public function isOfAnItem(): bool
    {
        return match ($this) {
            self::Line, self::Counted, self::Noticed, self::Wrong, self::HurtLater, self::Unsigned => true,
            self::Begun, self::Marked, self::Tested, self::Positioned => false,
            self::Looked, self::TakenOut, self::After, self::Finished => false,
        };
    }

    /** Whether somebody told it; a running total only counts on, every second or so. */
    public function isTold(): bool
    {
        return self::Counted !== $this;
    }

    /** Whether it needs one. */
    public function needsAnItem(): bool
    {
        return $this->isOfAnItem() && self::Wrong !== $this;
    }
}
