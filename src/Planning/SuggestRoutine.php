<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Core\Routine\WhatElse;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Makes a routine that fits the client's minutes; the one before stays in the record. */
#[Route('/clients/{client}/routine/suggest', name: 'planning_suggest', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class SuggestRoutine extends AbstractController
{
    public function __invoke(Client $client, Plan $plan, PlanRepository $plans, StrengthDays $strength, CatalogueStore $catalogue, Audit $audit, Who $who, Clock $clock): Response
    {
        $today = $clock->today($client->zone);
        try {
            $asked = [$plan->placements($client), $plan->facts($client), $catalogue->get()->goal($client->goalKey), $plan->limits($client, $strength->recent($client, $today)), $plans->doses($client), $today];
            $routine = (new Builder($catalogue->get()))->build(...$asked);
            $else = (new WhatElse($catalogue->get()))->of($routine, ...$asked);
        } catch (NothingFits $e) {
            $this->addFlash('problem', $e->getMessage());

            return $this->redirectToRoute('planning_routine', ['client' => $client->id], Response::HTTP_SEE_OTHER);
        }
        $plans->keep(SavedRoutine::suggested($routine, $client, $who->staff()->id, $clock->now(), $else));
        $audit->wrote('suggested routine', $client->id);
        $this->addFlash('done', 'A new routine, within the time.');

        return $this->redirectToRoute('planning_routine', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
