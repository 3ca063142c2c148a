<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Words\Phrase;

/** For rules that the builder keeps by what it puts beside an item, never by leaving one out. */
trait LeavesNothingOut
{
    public function leftOut(array $chosen, array $missing): ?Phrase
    {
        return null;
    }
}
