<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\Item;

/** For rules about a sitting as a whole. */
trait NeedsNothing
{
    public function needs(Item $item): array
    {
        return [];
    }
}
