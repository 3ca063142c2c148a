<?php

declare(strict_types=1);

namespace HandGarden\Office;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Trail;
use HandGarden\Account\TrailSearch;
use HandGarden\Client\ClientRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who did what, and who read what of whom. To look is written down as well. */
#[Route('/clinic/trail', name: 'office_trail', methods: ['GET'])]
#[IsGranted('ROLE_LEAD')]
final class ShowTrail extends AbstractController
{
    public function __invoke(
        Request $request,
        Trail $trail,
        ClinicRepository $clinics,
        ClientRepository $clients,
        Audit $audit,
    ): Response {
        $clinic = $clinics->own();
        $search = TrailSearch::from($request);
        $page = max(1, $request->query->getInt('page', 1));
        $lines = $trail->find($search, $clinic->zone, $page);
        $audit->read('office_trail', $search->clientId);

        return $this->render('Office/trail.html.twig', [
            'clinic' => $clinic,
            'search' => $search,
            'page' => $page,
            'hasMore' => \count($lines) > Trail::PAGE,
            'lines' => array_map(TrailLine::from(...), \array_slice($lines, 0, Trail::PAGE)),
            'staff' => $clinics->namesOfStaff(),
            'clients' => $clients->names($clinic->id),
        ]);
    }
}
