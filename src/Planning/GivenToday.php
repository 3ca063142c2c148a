<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Routine\Item;

/** The items of a routine as they are given today: what is played and what is printed is the same. */
final readonly class GivenToday
{
    public function __construct(
        private Plan $plan,
        private OpenEases $open,
        private PastSittings $past,
    ) {
    }

    /** @return list<Item> empty when there is no routine */
    public function items(Client $client, RoutineKind $kind = RoutineKind::Home): array
    {
        $items = $this->plan->items($client, $kind);

        return [] === $items
            ? []
            : (new Given($this->open->for($client), $this->past->practiceDays($client)))->items($items);
    }
}
