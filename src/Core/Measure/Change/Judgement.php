<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

use HandGarden\Core\Words\Phrase;

enum Judgement: string
{
    case Gain = 'gain';
    case Loss = 'loss';
    case NoChange = 'no change';
    case NotComparable = 'not comparable';
    case NeedsRepeats = 'needs repeats';

    public function words(): Phrase
    {
        return new Phrase('judgement.'.str_replace(' ', '_', $this->value));
    }
}
