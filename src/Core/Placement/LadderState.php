<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Words\Phrase;

enum LadderState: string
{
    case Standing = 'standing';
    case Complete = 'complete';
    case Blocked = 'blocked';
    case Measure = 'measure';
    case BelowFirst = 'below the first rung';
    case NoFit = 'no fit';

    public function words(): Phrase
    {
        return new Phrase('ladder_state.'.str_replace(' ', '_', $this->value));
    }
}
