<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Core\Placement\LadderPlacement;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Where the client stands on every ladder, and why. */
#[Route('/clients/{client}/placement', name: 'planning_placement', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowPlacement extends AbstractController
{
    public function __construct(
        private readonly PlacementViews $views,
        private readonly Briefs $briefs,
    ) {
    }

    public function __invoke(
        Client $client,
        Plan $plan,
        PlanRepository $plans,
        Cautions $cautions,
        ClinicRepository $clinics,
    ): Response {
        $placements = $plan->placements($client);
        $met = $plan->facts($client)->decided->met;
        $view = fn (LadderPlacement $placed): LadderView => $this->views->ladder($placed, $met);

        return $this->render('Planning/placement.html.twig', [
            'client' => $client,
            'banner' => $cautions->for($client),
            'ladders' => array_map($view, $placements->trained()),
            'others' => array_map(
                $view,
                array_values(
                    array_filter(
                        $placements->ladders,
                        static fn (LadderPlacement $p): bool => !$p->ladder->isTrained(),
                    ),
                ),
            ),
            'moved' => $plan->changes($client),
            'needed' => $this->views->needed(
                $this->briefs->measureFirst($client)->order($placements->needed),
                $client,
            ),
            'overrides' => $plans->overrides($client),
            'names' => $clinics->namesOfStaff(),
        ]);
    }
}
