<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

enum UnitOrder: string
{
    /** All repetitions of a unit before the next. */
    case Block = 'block';
    /** Every unit once, then again. */
    case Round = 'round';
}
