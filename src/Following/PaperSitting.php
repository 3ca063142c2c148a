<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Progress\SkipReason;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A sitting that was written down on paper, typed in afterwards. */
#[Route('/clients/{client}/logbook/paper', name: 'following_paper', methods: [
    'GET',
    'POST',
])]
#[IsGranted('ROLE_STAFF')]
final class PaperSitting extends AbstractController
{
    public function __construct(
        private readonly PaperIntake $intake,
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $asked = $request->isMethod('POST') ? $request->request : $request->query;
        $kind = RoutineKind::fromForm($asked);
        $items = array_values(array_filter(
            $this->plan->items($client, $kind),
            static fn ($item): bool => !$item->isPause,
        ));
        $problem = null;
        if ($request->isMethod('POST')) {
            try {
                $sitting = $this->intake->take(
                    $client,
                    PaperForm::typed($request->request),
                    $items,
                    $this->who->actor(),
                );
                $this->audit->wrote(
                    'typed in sitting',
                    $client->id,
                    $sitting->id,
                );
                $this->addFlash(
                    'done',
                    'The sitting of '.$sitting->day->format('D j M').' is kept.',
                );

                return $this->redirectToRoute(
                    'following_logbook',
                    [
                        'client' => $client->id,
                        'month' => $sitting->day->format('Y-m'),
                    ],
                    Response::HTTP_SEE_OTHER,
                );
            } catch (InvalidData $e) {
                $problem = $e->getMessage();
            }
        }
        $today = $this->clock->today($client->zone);

        return $this->render('Following/paper.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'items' => $items,
            'worse' => $this->plan->worseSide($client),
            'kind' => $kind,
            'kinds' => $this->plans->kinds($client),
            'reasons' => SkipReason::ofPeople(),
            'problem' => $problem,
            'typed' => $request->request->all(),
            'today' => $today,
            'first' => $today->modify('-'.PaperForm::FURTHEST_DAYS.' days'),
        ], new Response(status: null === $problem ? 200 : 422));
    }
}
