<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Progress\GivenSitting;
use HandGarden\Core\Routine\Door;
use HandGarden\Core\Routine\StillPrepared;

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

        return [] === $items ? new GivenSitting([], []) : $this->under(
            $client,
            $this->briefs->limits($client, $kind)->seconds(),
            $this->briefs->door($client, $kind),
            $this->briefs->prepared($client, $kind),
        )->of($items);
    }

    /** What holds a client's doses down today, behind a door. */
    public function under(Client $client, int $seconds, Door $door, StillPrepared $prepared): Given
    {
        return new Given(
            $this->open->for($client),
            $this->past->practiceDays($client),
            $seconds,
            $door,
            earlier: $this->past->earlierToday($client),
            prepared: $prepared,
        );
    }
}
