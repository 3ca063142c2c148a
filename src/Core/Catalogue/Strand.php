<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** An area of hand recovery; the order is the order of a sitting (see `Routine\Rank`). */
enum Strand: string
{
    case Settle = 'settle';
    case Sensory = 'sensory';
    case Mobilize = 'mobilize';
    case Stretch = 'stretch';
    case Base = 'base';
    case Open = 'open';
    case Separate = 'separate';
    case Grip = 'grip';
    case Dexterity = 'dexterity';
    case Amplitude = 'amplitude';
    case Steady = 'steady';
    case Timing = 'timing';
    case Daily = 'daily';

    public function label(): string
    {
        return match ($this) {
            self::Settle => 'Settle and warm',
            self::Sensory => 'Feel the hand',
            self::Mobilize => 'Move it for them',
            self::Stretch => 'Lengthen',
            self::Base => 'Wrist and forearm',
            self::Open => 'Open and let go',
            self::Separate => 'One finger at a time',
            self::Grip => 'Pinch and grip',
            self::Dexterity => 'Thumb and fingers together',
            self::Amplitude => 'Large movements',
            self::Steady => 'Steadiness',
            self::Timing => 'Timing and attention',
            self::Daily => 'Daily tasks',
        };
    }
}
