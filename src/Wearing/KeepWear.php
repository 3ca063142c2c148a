<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\EventTime;
use HandGarden\Web\Clock;

/** Keeps what was told of something worn, and does at once what a look asks for: shorter, or off until it was seen. */
final readonly class KeepWear
{
    public function __construct(
        private Wears $wears,
        private PlanRepository $plans,
        private Alerts $alerts,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    /** @param ?WearVerdict $before what was known of it before this was told */
    public function keep(Client $client, Wear $wear, ?WearVerdict $before, EventTime $time): void
    {
        $this->wears->keep($wear);
        $verdict = $wear->verdict();
        $plan = $this->wears->plan($client, $wear->planId);
        if ($verdict === $before || null === $plan) {
            return;
        }
        match ($verdict) {
            WearVerdict::Suspended => $this->takeAway($client, $plan, $wear, $time),
            WearVerdict::Shorter => $this->shorten($client, $plan, $wear, $time),
            default => null,
        };
    }

    /** The next time is a step shorter; where there is none, somebody looks at the fit first. */
    private function shorten(Client $client, WearPlan $plan, Wear $wear, EventTime $time): void
    {
        if (0 === $plan->step) {
            $this->takeAway($client, $plan, $wear, $time);
        } elseif (null === $plan->endedAt) {
            $now = $this->clock->now();
            $plan->end(null, $now);
            $this->wears->keep($plan->at($plan->step - 1, null, $this->clock->today($client->zone), $now));
        }
    }

    private function takeAway(Client $client, WearPlan $plan, Wear $wear, EventTime $time): void
    {
        $why = new Phrase('suspension.wear', [
            'item' => $this->catalogue->get()->nameOf($plan->rungId),
            'on' => Phrase::day($wear->day),
        ]);
        $key = $plan->itemKey();
        $this->plans->suspend($client, $key, $why, $time->receivedAt, at: $this->clock->now());
        $this->alerts->raise(
            $client,
            AlertKind::Wear,
            $key,
            $why,
            begunAt: $time->at,
            told: $time->receivedAt,
        );
    }
}
