<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** How one repetition of an exercise is gone through. */
enum WalkKind: string
{
    /** One unit. */
    case Whole = 'whole';
    case Digits = 'digits';
    /** The same finger of both hands. */
    case Pairs = 'pairs';
    /** The spaces between two fingers. */
    case Gaps = 'gaps';
    case Joints = 'joints';
    /** Directions. */
    case Ways = 'ways';
    /** Which hand's finger lies on top. */
    case Tops = 'tops';
    case Shapes = 'shapes';
    /** One unit; repetition after repetition takes the next of the list. */
    case Run = 'run';
    /** The first half of the repetitions so, the second half so. */
    case Halves = 'halves';
    /** Set after set takes the next of the list. */
    case Sets = 'sets';
    /** One repetition is one piece. */
    case Pieces = 'pieces';
    /** A timed course of steps. */
    case Steps = 'steps';
    case Lap = 'lap';
    /** Steps of a guided view. */
    case Guide = 'guide';
    /** Questions about what is felt. */
    case Notice = 'notice';
    /** Something is put on now and taken off later. */
    case Wear = 'wear';
    case Breath = 'breath';
    case Beat = 'beat';
    case Call = 'call';

    /** Whether the parts of a dose are its units. */
    public function countsParts(): bool
    {
        return match ($this) {
            self::Digits, self::Pairs, self::Gaps, self::Joints, self::Ways, self::Tops, self::Shapes => true,
            default => false,
        };
    }

    /** Whether its steps are stretched alike when the time of the exercise changes. */
    public function isCourse(): bool
    {
        return match ($this) {
            self::Steps, self::Lap, self::Guide, self::Notice, self::Wear => true,
            default => false,
        };
    }
}
