<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Proposal;

/** One thing that the log of an item can ask for. */
interface ItemRule
{
    /** Null: it has nothing to say. */
    public function propose(ItemHistory $history): ?Proposal;

    /** Whether it also speaks when the dose was changed after the newest sitting. */
    public function holdsAtAnyDose(): bool;
}
