<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Lets the steps up of one client happen by themselves, or no longer. */
#[Route('/clients/{client}/decisions/by-themselves', name: 'progress_allow_steps', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class AllowSteps extends AbstractController
{
    public function __invoke(
        Request $request,
        Client $client,
        ClientRepository $clients,
        Audit $audit,
        Who $who,
    ): Response {
        $isAllowed = '1' === $request->request->get('allowed');
        $client->stepsAllowedById = $isAllowed ? $who->staff()->id : null;
        $clients->save();
        $audit->wrote($isAllowed ? 'allowed steps up' : 'no steps up by themselves', $client->id);
        $this->addFlash('done', $isAllowed
            ? 'Steps up inside the range of an exercise are taken by themselves; each stands under Decided.'
            : 'Each step up waits for you again.');

        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
