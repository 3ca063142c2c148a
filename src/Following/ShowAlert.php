<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Sitting\Alerts;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The card of one alert. A therapist who opens it has seen it, and has not answered it. */
#[Route('/clients/{client}/alerts/{alert}', name: 'following_alert', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowAlert extends AbstractController
{
    public function __construct(
        private readonly Alerts $alerts,
        private readonly AlertCards $cards,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Client $client, string $alert): Response
    {
        $found = $this->alerts->find($client, $alert)
            ?? throw $this->createNotFoundException('No such alert.');
        if ($this->isGranted('ROLE_THERAPIST') && null === $found->seenAt && $found->isOpen()) {
            $found->seenBy(
                $this->who->staff(),
                $this->clock->now(),
            );
            $this->alerts->keep();
        }

        return $this->render(
            'Following/alert.html.twig',
            $this->cards->page($client, $this->cards->for($client, $found)),
        );
    }
}
