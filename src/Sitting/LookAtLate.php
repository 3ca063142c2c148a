<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\ClientRepository;
use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A therapist has looked at what reached us long after a sitting: from now on it counts. */
#[Route('/sittings/{sitting}/looked', name: 'sitting_looked', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class LookAtLate extends AbstractController
{
    public function __construct(
        private readonly SittingRepository $sittings,
        private readonly EventKeeper $events,
        private readonly ClientRepository $clients,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Sitting $sitting): Response
    {
        $client = $this->clients->find($sitting->clinicId, $sitting->clientId)
            ?? throw $this->createNotFoundException();
        $looked = SittingEvent::noted(
            $sitting,
            null,
            EventKind::Looked,
            actor: Actor::staff($this->who->staff()->id),
            time: EventTime::now($this->clock->now(), $client->zone),
        );
        $this->events->keep([$looked], $this->sittings->items($sitting));
        $this->audit->wrote('looked at late acts', $sitting->clientId, $sitting->id);

        return $this->redirectToRoute(
            'sitting_record',
            ['sitting' => $sitting->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
