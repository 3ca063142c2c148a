<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Week\DayList;
use HandGarden\Web\Clock;

/** Which list a client has today, where two take turns. */
final readonly class ListToday
{
    public function __construct(
        private PlanRepository $plans,
        private PlanWeek $week,
        private Clock $clock,
    ) {
    }

    public function kind(Client $client): RoutineKind
    {
        if (!\in_array(RoutineKind::Other, $this->plans->kinds($client), true)) {
            return RoutineKind::Home;
        }
        $today = $this->clock->today($client->zone);
        $week = $this->week->for($client, $this->week->monday($client, ''));
        $day = $week->days[(int) $today->format('N') - 1] ?? null;

        return DayList::B === $day?->list ? RoutineKind::Other : RoutineKind::Home;
    }
}
