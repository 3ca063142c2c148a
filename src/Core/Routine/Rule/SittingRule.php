<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Words\Phrase;

/** One hard rule of a sitting. */
interface SittingRule
{
    /**
     * @param list<Item> $items in order
     *
     * @return list<BrokenRule> empty: kept
     */
    public function broken(array $items): array;

    /** @return list<Need> what has to stand earlier in the sitting than this item */
    public function needs(Item $item): array;

    /**
     * Why these could not come in beside the others; null: not because of this rule.
     *
     * @param list<Item>           $chosen
     * @param non-empty-list<Item> $missing
     */
    public function leftOut(array $chosen, array $missing): ?Phrase;
}
