<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Alerts;
use HandGarden\Web\Clock;

/** Lets go on what rested, from whichever page. After an emergency nothing of all does before the screening. */
final readonly class Reopening
{
    private const LATEST_ALERTS = 20;

    public function __construct(
        private PlanRepository $plans,
        private Alerts $alerts,
        private Cautions $cautions,
        private Who $who,
        private Clock $clock,
    ) {
    }

    /** Why what rests may not be reopened yet; null: it may. */
    public function bars(Client $client, Suspension $rests): ?Phrase
    {
        return Decided::EVERYTHING === $rests->itemKey ? $this->screeningFirst($client) : null;
    }

    /** Null: there was no emergency, or the screening was asked since. */
    public function screeningFirst(Client $client): ?Phrase
    {
        $missing = 0;
        foreach ($this->alerts->all($client, self::LATEST_ALERTS) as $alert) {
            if ($alert->kind->wantsScreening()) {
                $missing = max($missing, $this->cautions->unaskedSince($client, $alert->begunAt));
            }
        }

        return 0 === $missing ? null : new Phrase('alert_bars.screening', ['questions' => $missing]);
    }

    /** Call only what nothing bars. */
    public function reopen(Suspension $rests, string $note): void
    {
        $rests->reopen($this->who->staff()->id, $this->clock->now(), $note);
        $this->plans->keep();
    }
}
