<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use HandGarden\Client\Client;
use HandGarden\Core\Placement\Decided;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\Suspension;

/** What a client wears, plan by plan. */
final readonly class WearSheets
{
    public function __construct(
        private Wears $wears,
        private PlanRepository $plans,
        private MayWear $may,
    ) {
    }

    /** @return list<WearSheet> */
    public function of(Client $client): array
    {
        $plans = $this->wears->plans($client);
        $rests = [] === $plans ? [] : array_map(
            static fn (Suspension $s): string => $s->itemKey,
            $this->plans->suspensions($client),
        );

        return array_map(fn (WearPlan $plan): WearSheet => new WearSheet(
            $plan,
            array_reverse($this->wears->of($plan)),
            $this->may->refusals(
                $client,
                $plan->worn,
                $plan->side,
                $plan->wears(),
                morningId: $plan->morningId,
            ),
            isHeld: [] !== array_intersect([$plan->itemKey(), Decided::EVERYTHING], $rests),
            fitDueOn: self::fitDue($plan, $client->injectionDay()),
        ), $plans);
    }

    /** After six months, and with each injection that came since. */
    private static function fitDue(WearPlan $plan, ?\DateTimeImmutable $injected): \DateTimeImmutable
    {
        $due = $plan->fitOn->modify('+'.WearPlan::FIT_MONTHS.' months');

        return null !== $injected && $injected > $plan->fitOn && $injected < $due ? $injected : $due;
    }
}
