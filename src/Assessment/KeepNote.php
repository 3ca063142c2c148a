<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Adds to the free note of today's visit. */
#[Route('/clients/{client}/note', name: 'assessment_note', methods: ['POST'])]
#[IsGranted('ROLE_STAFF')]
final class KeepNote extends AbstractController
{
    public function __invoke(
        Request $request,
        Client $client,
        ReadingRepository $readings,
        Audit $audit,
        Who $who,
        Clock $clock,
    ): Response {
        $note = mb_substr(trim((string) $request->request->get('note', '')), 0, 4000);
        if ('' !== $note) {
            $visit = $readings->visit(
                $client,
                $clock->today($client->zone),
                $who->staff()->id,
                $clock->now(),
            );
            $visit->note = trim($visit->note."\n".$note);
            $readings->save();
            $audit->wrote('noted', $client->id, $visit->id);
            $this->addFlash('done', 'Note kept.');
        }

        return $this->redirectToRoute(
            'desk_client',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
