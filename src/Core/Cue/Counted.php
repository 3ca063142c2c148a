<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** What is written down of an exercise beyond done, pain, hardness and tricks. */
enum Counted: string
{
    case Repetitions = 'repetitions';
    case Hold = 'hold';
    case Pieces = 'pieces';
    case Drops = 'drops';
    case Spills = 'spills';
    case Errors = 'errors';
    case Help = 'help';
    case Finger = 'finger';
    case Load = 'load';
    case Size = 'size';
    case Firmness = 'firmness';
    case Angle = 'angle';
    case Opening = 'opening';
    case Tone = 'tone';
    case Minutes = 'minutes';
    case Skin = 'skin';
    case Beats = 'beats';
    case Interval = 'interval';
    case Breaths = 'breaths';
    case Laps = 'laps';
    case Taps = 'taps';
    case Tries = 'tries';
    case Turns = 'turns';
    case Sips = 'sips';
    case Cuts = 'cuts';
    case Steps = 'steps';
    case Felt = 'felt';
    /** Which hand is warmer, larger, livelier. */
    case Difference = 'difference';
    /** A written line that is kept. */
    case Sample = 'sample';
}
