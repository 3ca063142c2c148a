<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Who;
use HandGarden\Client\ClientRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Who needs me, what do I decide, next client. */
#[Route('/', name: 'desk_today', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class Today extends AbstractController
{
    public function __invoke(
        Request $request,
        ClientRepository $clients,
        Overview $overview,
        Who $who,
        ClinicRepository $clinics,
    ): Response {
        $archived = '1' === $request->query->get('archived');

        return $this->render('Desk/today.html.twig', [
            'rows' => $overview->rows($clients->all($who->clinicId(), $archived)),
            'archived' => $archived,
            'clinic' => $clinics->own(),
        ]);
    }
}
