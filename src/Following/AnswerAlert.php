<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Sitting\AlertNext;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Closes an alert: what was found and done, what becomes of what rests, a day to look again, words to the client. */
#[Route('/clients/{client}/alerts/{alert}', name: 'following_answer_alert', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class AnswerAlert extends AbstractController
{
    public function __construct(
        private readonly Alerts $alerts,
        private readonly AlertCards $cards,
        private readonly AlertActs $acts,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    public function __invoke(Request $request, Client $client, string $alert): Response
    {
        $open = $this->alerts->find($client, $alert)
            ?? throw $this->createNotFoundException('No such alert.');
        $answer = AlertAnswer::typed($request);
        if (!$open->isOpen()) {
            $this->addFlash('problem', $this->wording->word('alert_problem.answered', [
                'note' => $open->note,
                'typed' => mb_substr(
                    $answer->note,
                    0,
                    AlertAnswer::LETTERS,
                ),
            ]));

            return $this->back($client);
        }
        $card = $this->cards->for($client, $open);
        $problem = $answer->problem(
            $card,
            $this->clock->today($client->zone),
        );
        if (null !== $problem) {
            return $this->render(
                'Following/alert.html.twig',
                $this->cards->page(
                    $client,
                    $card,
                    ['problem' => $this->wording->say($problem)] + $request->request->all(),
                ),
                new Response(status: Response::HTTP_UNPROCESSABLE_ENTITY),
            );
        }
        $this->close($open, $client, $answer, $card);

        return $this->back($client);
    }

    private function close(Alert $open, Client $client, AlertAnswer $answer, AlertCard $card): void
    {
        $now = $this->clock->now();
        $open->seenBy(
            $this->who->staff(),
            $now,
        );
        $open->note = $answer->note;
        $open->act = $answer->act;
        $open->next = array_map(
            static fn (AlertNext $n): string => $n->value,
            $answer->next,
        );
        $open->lookOn = $answer->lookOn;
        $open->words = mb_substr(implode(' ', array_filter([
            $answer->words,
            $this->cards->wordsFor($open, $answer->act),
            ...array_map(
                fn (AlertNext $n): string => $this->wording->word('alert_next_words.'.$n->value),
                $answer->next,
            ),
        ], static fn (string $words): bool => '' !== $words)), 0, 2 * AlertAnswer::LETTERS);
        $open->answeredAt = $now;
        $open->answeredById = $this->who->staff()->id;
        $this->acts->carryOut($client, $card, $answer);
        $this->alerts->keep();
        $this->audit->wrote(
            'answered alert',
            $client->id,
            $open->id,
        );
        $this->addFlash('done', $this->wording->word('alert_done', [
            'day' => $answer->lookOn?->format('D j M') ?? '',
        ]));
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute(
            'progress_decisions',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
