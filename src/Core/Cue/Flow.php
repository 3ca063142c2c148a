<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** What stands between an exercise and the next one of its chain. */
enum Flow: string
{
    /** It is logged by a tap first. */
    case Log = 'log';
    /** The hand or the thing stays where it is; no tap. */
    case Stay = 'stay';
    /** No tap; the hands become free. */
    case Go = 'go';
    /** The marks of the guided view are the log. */
    case Guide = 'guide';
    /** A reminder comes for taking off. */
    case Later = 'later';

    /** Seconds before the next exercise of the same chain. */
    public function secondsToNext(): int
    {
        return match ($this) {
            self::Log, self::Guide, self::Later => 15,
            self::Go => 5,
            self::Stay => 0,
        };
    }
}
