<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Somebody has talked with a helper about how they get on. */
#[Route('/clients/{client}/home/helpers/{helper}/talked', name: 'home_talked', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class TalkedWithHelper extends AbstractController
{
    public function __construct(
        private readonly HelperWords $words,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Client $client, string $helper): Response
    {
        if (!isset($this->words->of($client)[$helper])) {
            throw $this->createNotFoundException('They said nothing.');
        }
        $this->words->talked($client, $helper, $this->who->staff()->id, $this->clock->now());
        $this->audit->wrote('talked with helper', $client->id, $helper);
        $this->addFlash('done', 'Noted.');

        return $this->redirectToRoute('home_side', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
