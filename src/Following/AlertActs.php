<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Core\Routine\Draft;
use HandGarden\Core\Sitting\AlertAct;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Prescribing;
use HandGarden\Planning\RoutineFormat;
use HandGarden\Progress\Reopening;
use HandGarden\Web\Clock;

/** What the answer to an alert does with what rests. */
final readonly class AlertActs
{
    public function __construct(
        private Plan $plan,
        private PlanRepository $plans,
        private Reopening $reopening,
        private Who $who,
        private Clock $clock,
    ) {
    }

    public function carryOut(Client $client, AlertCard $card, AlertAnswer $answer): void
    {
        if (AlertAct::ReopenLower === $answer->act) {
            $this->lower($client, $card);
        }
        if (true === $answer->act?->reopens()) {
            $this->reopen($client, $answer);
        }
        if (AlertAct::Out === $answer->act) {
            $this->takeOut($client, $card->alert->itemKey);
        }
    }

    private function reopen(Client $client, AlertAnswer $answer): void
    {
        foreach ($this->plans->suspensions($client) as $rests) {
            $isAsked = \in_array($rests->id, $answer->reopens, true);
            if ($isAsked && null === $this->reopening->bars($client, $rests)) {
                $this->reopening->reopen($rests, $answer->note);
            }
        }
    }

    private function lower(Client $client, AlertCard $card): void
    {
        $lower = null === $card->rung || null === $card->dose
            ? null
            : (new DoseSteps($card->rung))->down($card->dose);
        if (null !== $lower) {
            $this->plans->prescribe(
                $client,
                $card->alert->itemKey,
                $lower,
                DoseSource::Decision,
                by: new Prescribing(
                    $this->who->staff()->id,
                    $this->clock->now(),
                ),
            );
        }
    }

    /** Of every routine; what is suggested anew may have it again once nothing bars it. */
    private function takeOut(Client $client, string $itemKey): void
    {
        foreach ($this->plans->routines($client) as $routine) {
            $this->plans->lock($routine);
            $draft = new Draft(
                $this->plan->itemsOf($client, $routine),
                $routine->forbidden,
            );
            for ($at = \count($draft->items) - 1; $at >= 0; --$at) {
                if ($draft->items[$at]->key() === $itemKey) {
                    $draft = $draft->forbidding($at);
                }
            }
            $routine->items = RoutineFormat::write($draft->items);
            $routine->forbidden = $draft->forbidden;
            $this->plans->keep($routine);
        }
    }
}
