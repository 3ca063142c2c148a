<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Progress\GivenSitting;

/** A routine as it is given today: what is played and what is printed is the same. */
final readonly class GivenToday
{
    public function __construct(
        private Plan $plan,
        private Briefs $briefs,
        private OpenEases $open,
        private PastSittings $past,
    ) {
    }

    public function for(Client $client, RoutineKind $kind = RoutineKind::Home): GivenSitting
    {
        $items = $this->plan->items($client, $kind);

        return [] === $items ? new GivenSitting([], []) : (new Given(
            $this->open->for($client),
            $this->past->practiceDays($client),
            $this->briefs->limits($client, $kind)->seconds(),
            $this->briefs->door($client, $kind),
            earlier: $this->past->earlierToday($client),
            prepared: $this->briefs->prepared($client, $kind),
        ))->of($items);
    }
}
