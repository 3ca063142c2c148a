<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Client\Client;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The client at a glance: both hands as measured, where they stand, what waits, what was done. */
#[Route('/clients/{client}', name: 'desk_client', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowClient extends AbstractController
{
    public function __invoke(Client $client, ClientCards $cards): Response
    {
        $card = $cards->for($client);

        return $this->render(
            'Desk/client.html.twig',
            ['client' => $client, 'card' => $card, 'banner' => $card->banner],
        );
    }
}
