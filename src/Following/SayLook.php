<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Data\Dates;
use HandGarden\Progress\Acts;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Keeps that somebody has looked, and what they made of it. */
#[Route('/clients/{client}/look', name: 'following_look_word', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class SayLook extends AbstractController
{
    private const NOTE = 300;
    private const FURTHEST_DAYS = 90;

    public function __construct(
        private readonly Looks $looks,
        private readonly Acts $acts,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $form = $request->request;
        $word = LookWord::tryFrom((string) $form->get(
            'word',
            '',
        ));
        $note = trim((string) $form->get('note', ''));
        $today = $this->clock->today($client->zone);
        $visit = LookWord::Visit === $word ? Dates::day((string) $form->get('visit_on', '')) : null;
        $problem = match (true) {
            null === $word => 'Choose one of the five.',
            mb_strlen($note) > self::NOTE => 'The note has more than 300 letters.',
            LookWord::Visit === $word && (
                null === $visit || $visit < $today || $visit > $today->modify(
                    '+'.self::FURTHEST_DAYS.' days',
                )
            ) => 'Say on which day of the next three months the visit is.',
            default => null,
        };
        if (null !== $problem) {
            $this->addFlash(
                'problem',
                $problem.' Nothing was kept; you had written ‘'.mb_substr($note, 0, self::NOTE).'’.',
            );

            return $this->to('desk_look', $client);
        }
        $this->looks->keep(new ClientLook(
            $client->clinicId,
            $client->id,
            $word,
            $note,
            visitOn: $visit,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        ));
        if (LookWord::Smaller === $word) {
            $this->acts->shorten($client);
            $this->addFlash(
                'done',
                'A quarter less: '.$client->minutes.' minutes a sitting. It is undone under Change.',
            );
        } else {
            $this->addFlash('done', 'Kept.');
        }
        $this->audit->wrote(
            'looked: '.$word->value,
            $client->id,
        );

        return LookWord::Change === $word
            ? $this->to('planning_routine', $client)
            : $this->redirectToRoute('desk_today', [], Response::HTTP_SEE_OTHER);
    }

    private function to(string $route, Client $client): Response
    {
        return $this->redirectToRoute(
            $route,
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
