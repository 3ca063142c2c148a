<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\SittingRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What waits for a decision, with its evidence, and what was decided. */
#[Route('/clients/{client}/decisions', name: 'progress_decisions', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowDecisions extends AbstractController
{
    public function __invoke(
        Client $client,
        OpenProposals $open,
        DecisionRepository $decisions,
        SittingRepository $sittings,
        PlanRepository $plans,
        Plan $plan,
        CatalogueStore $catalogue,
        Cautions $cautions,
        ClinicRepository $clinics,
    ): Response {
        $lines = [];
        foreach ($sittings->log($client)->lines as $line) {
            $lines[$line->id] = $line;
        }
        $proposals = array_map(
            static fn (Proposal $p): ProposalView => ProposalView::of(
                $p,
                $catalogue->get(),
                $lines,
                $plan->worseSide($client),
            ),
            $open->of($client),
        );

        return $this->render('Progress/decisions.html.twig', [
            'client' => $client,
            'banner' => $cautions->of($client),
            'proposals' => $proposals,
            'decisions' => \array_slice($decisions->of($client), 0, 20),
            'suspensions' => $plans->suspensions($client),
            'names' => $clinics->namesOfStaff(),
            'clinic' => $clinics->own(),
        ]);
    }
}
