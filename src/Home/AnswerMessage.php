<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route('/clients/{client}/home/messages/{message}', name: 'home_answer', methods: ['POST'])]
#[IsGranted('ROLE_STAFF')]
final class AnswerMessage extends AbstractController
{
    public function __construct(
        private readonly Messages $messages,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client, string $message): Response
    {
        $found = $this->messages->find($client, $message) ?? throw $this->createNotFoundException();
        $answer = mb_substr(trim((string) $request->request->get('answer', '')), 0, Message::LETTERS);
        if ('' === $answer) {
            $this->addFlash('problem', 'Write an answer; a word is enough.');
        } elseif (null === $found->answeredAt) {
            $found->answer = $answer;
            $found->answeredById = $this->who->staff()->id;
            $found->answeredAt = $this->clock->now();
            $this->messages->keep();
            $this->audit->wrote('answered message', $client->id, $found->id);
            $this->addFlash('done', 'The answer is on its way home.');
        }

        return $this->redirectToRoute('home_side', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
