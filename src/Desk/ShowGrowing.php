<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Client\Client;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What has grown, as a sheet to look at together and to take home: no figures, nothing compared. */
#[Route('/clients/{client}/growing', name: 'desk_growing', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowGrowing extends AbstractController
{
    public function __invoke(Client $client, ClientCards $cards, FocusItems $focus): Response
    {
        $card = $cards->for($client);

        return $this->render('Desk/growing.html.twig', [
            'client' => $client,
            'banner' => $card->banner,
            'goal' => $card->goal,
            'stems' => $focus->of($client, $card),
        ]);
    }
}
