<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

enum Judgement: string
{
    case Gain = 'gain';
    case Loss = 'loss';
    case NoChange = 'no change';
    case NotComparable = 'not comparable';
    case NeedsRepeats = 'needs repeats';

    public function words(): string
    {
        return match ($this) {
            self::Gain => 'real gain',
            self::Loss => 'real loss',
            self::NoChange => 'no real change yet',
            self::NotComparable => 'not comparable',
            self::NeedsRepeats => 'needs repeats to tell',
        };
    }
}
