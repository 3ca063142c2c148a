<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What can happen in a sitting. Later kinds are added; none is ever given another meaning. */
enum EventKind: string
{
    case Begun = 'begun';
    /** What was done of one item, and how it went. */
    case Line = 'line';
    /** Told later: it hurt for hours after the item, or the next morning. */
    case HurtLater = 'hurt-later';
    case Finished = 'finished';

    public function isOfAnItem(): bool
    {
        return self::Line === $this || self::HurtLater === $this;
    }
}
