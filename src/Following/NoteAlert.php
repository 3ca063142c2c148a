<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\AlertNoteKind;
use HandGarden\Sitting\Alerts;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Notes what does not answer an alert: a call that nobody took, a talk that is passed on, a second look later. */
#[IsGranted('ROLE_STAFF')]
final class NoteAlert extends AbstractController
{
    public function __construct(
        private readonly Alerts $alerts,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/alerts/{alert}/notes', name: 'following_note_alert', methods: ['POST'])]
    public function note(Request $request, Client $client, string $alert): Response
    {
        $of = $this->of($client, $alert);
        $kind = AlertNoteKind::tryFrom((string) $request->request->get(
            'kind',
            '',
        ));
        $text = trim((string) $request->request->get(
            'text',
            '',
        ));
        if (true !== $kind?->isByStaff() || mb_strlen($text) > AlertAnswer::LETTERS || !$of->isOpen()) {
            $this->addFlash('problem', $of->isOpen()
                ? 'Say what was tried, in up to 300 letters. Nothing was noted.'
                : 'It was answered meanwhile. Nothing was noted; you had written ‘'.$text.'’.');
        } else {
            $this->alerts->note(
                $of,
                $kind,
                $text,
                $this->who->staff()->id,
                at: $this->clock->now(),
            );
            $this->audit->wrote(
                'noted alert',
                $client->id,
                $of->id,
            );
            $this->addFlash('done', 'Noted. It still waits for an answer.');
        }

        return $this->redirectToRoute(
            'following_alert',
            ['client' => $client->id, 'alert' => $of->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/clients/{client}/alerts/{alert}/looked', name: 'following_looked_again', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function looked(Client $client, string $alert): Response
    {
        $of = $this->of($client, $alert);
        if (!$of->isOpen() && null === $of->lookedAt) {
            $of->lookedAt = $this->clock->now();
            $this->alerts->keep();
            $this->audit->wrote(
                'looked again',
                $client->id,
                $of->id,
            );
            $this->addFlash('done', 'Looked at again.');
        }

        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    private function of(Client $client, string $alert): Alert
    {
        return $this->alerts->find($client, $alert)
            ?? throw $this->createNotFoundException('No such alert.');
    }
}
