<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Closes an alert with a note of what was found and done; nothing is reopened by that. */
#[Route('/clients/{client}/alerts/{alert}', name: 'sitting_answer_alert', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class AnswerAlert extends AbstractController
{
    private const NOTE = 300;

    public function __construct(
        private readonly Alerts $alerts,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client, string $alert): Response
    {
        $open = $this->alerts->find($client, $alert) ?? throw $this->createNotFoundException(
            'No such alert.',
        );
        $note = trim((string) $request->request->get('note', ''));
        if (null !== $open->answeredAt) {
            $this->addFlash('problem', \sprintf(
                'Somebody else answered this already (‘%s’). Nothing more was done%s.',
                $open->note,
                '' === $note ? '' : '; you had written ‘'.mb_substr($note, 0, self::NOTE).'’',
            ));
        } elseif ('' === $note || mb_strlen($note) > self::NOTE) {
            $this->addFlash(
                'problem',
                'Say in up to 300 letters what was found and done; then it is answered.',
            );
        } else {
            $open->note = $note;
            $open->answeredAt = $this->clock->now();
            $open->answeredById = $this->who->staff()->id;
            $this->alerts->keep();
            $this->audit->wrote('answered alert', $client->id, $open->id);
            $this->addFlash('done', 'Answered.');
        }

        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
