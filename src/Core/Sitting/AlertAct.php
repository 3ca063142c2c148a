<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** What is done with what an alert holds, when it is answered. */
enum AlertAct: string
{
    case KeepHeld = 'keep';
    case ReopenLower = 'reopen-lower';
    case Reopen = 'reopen';
    /** Taken out of the routine. */
    case Out = 'out';

    public function reopens(): bool
    {
        return self::Reopen === $this || self::ReopenLower === $this;
    }
}
