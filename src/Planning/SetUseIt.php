<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Chooses the one act of the day that the hand does from now on; an empty line ends it. */
#[Route('/clients/{client}/use-it', name: 'planning_use_it', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class SetUseIt extends AbstractController
{
    public function __construct(
        private readonly UsesIt $uses,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $words = trim((string) $request->request->get('words', ''));
        if (mb_strlen($words) > UseIt::LETTERS) {
            $this->addFlash(
                'problem',
                \sprintf('At most %d letters: one act, in few words.', UseIt::LETTERS),
            );

            return $this->back($client);
        }
        $before = $this->uses->current($client);
        if (null !== $before && $before->words !== $words) {
            $before->endedAt = $this->clock->now();
            $this->uses->keep();
        }
        if ('' !== $words && $before?->words !== $words) {
            $this->uses->keep(new UseIt(
                $client->clinicId,
                $client->id,
                $words,
                $this->who->staff()->id,
                at: $this->clock->now(),
            ));
        }
        $this->audit->wrote('chose an act of the day', $client->id);
        $this->addFlash(
            'done',
            '' === $words ? 'Nothing is chosen any more.' : 'It stands at home and on paper.',
        );

        return $this->back($client);
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute(
            'planning_goals',
            ['client' => $client->id, '_fragment' => 'use-it'],
            Response::HTTP_SEE_OTHER,
        );
    }
}
