<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** What is said and shown at one moment of an exercise. */
enum CueKind: string
{
    case Move = 'move';
    case Return = 'return';
    /** As long as the dose holds. */
    case Hold = 'hold';
    case Rest = 'rest';
    case BreatheIn = 'breathe in';
    case BreatheOut = 'breathe out';
    case Beat = 'beat';
    case Call = 'call';
    case Shape = 'shape';
    case Direction = 'direction';
    case Pair = 'pair';
    case Piece = 'piece';
    case Step = 'step';
    case Wear = 'wear';
    case Notice = 'notice';
}
