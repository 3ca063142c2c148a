<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Client\Client;
use HandGarden\Core\Placement\Decided;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;

/** What stands before every sitting of a client, whatever is done in it. */
final readonly class Hindrances
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private Clock $clock,
        private Wording $wording,
    ) {
    }

    /** In words; null: nothing does. */
    public function of(Client $client): ?string
    {
        $today = $this->clock->today($client->zone);
        foreach ($this->plan->facts($client)->measured->screening->found($today) as $question) {
            if ($question->bars->everything) {
                return $question->consequence;
            }
        }
        foreach ($this->plans->suspensions($client) as $suspension) {
            if (Decided::EVERYTHING === $suspension->itemKey) {
                return $this->wording->word(
                    'suspension.hinders',
                    ['why' => $this->wording->say($suspension->why())],
                );
            }
        }

        return null;
    }
}
