<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What still has to be shown beside a therapist before it is done without one. */
#[Route('/clients/{client}/shown', name: 'planning_shown')]
final class ShowMarks extends AbstractController
{
    public function __construct(
        private readonly Marks $marks,
        private readonly Plan $plan,
        private readonly Briefs $briefs,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function page(Client $client): Response
    {
        return $this->render('Planning/shown.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'toShow' => $this->toShow($client),
        ]);
    }

    #[Route('', name: '_mark', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function mark(Request $request, Client $client): Response
    {
        $done = $this->shown($client, $request);
        $this->addFlash(
            $done ? 'done' : 'problem',
            $done ? 'Noted.' : 'Choose the exercise and the hand; nothing was noted.',
        );

        return $this->redirectToRoute(
            'planning_shown',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    private function shown(Client $client, Request $request): bool
    {
        $meant = $this->meant($request);
        if (null === $meant) {
            return false;
        }
        $this->marks->keep(new ShownRung(
            $client->clinicId,
            $client->id,
            $meant->rungId,
            $meant->side,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        ));
        $this->audit->wrote('marked as shown', $client->id, $meant->rungId);

        return true;
    }

    private function meant(Request $request): ?RungOnSide
    {
        $meant = RungOnSide::fromText((string) $request->request->get('rung', ''));

        return null !== $meant && $this->catalogue->get()->hasRung($meant->rungId) ? $meant : null;
    }

    /** @return list<array{rung: Rung, side: Side, key: string}> that may stand today and were never done beside us */
    private function toShow(Client $client): array
    {
        $door = $this->briefs->door($client, RoutineKind::Home);

        return array_values(
            array_filter($this->offered($client), static function (array $o) use ($door): bool {
                foreach ($door->refusals(
                    $o['rung'],
                    Hands::fromSide($o['side']),
                ) as $refusal) {
                    if (!$refusal->isToShow) {
                        return false;
                    }
                }

                return $o['rung']->isShownFirst() && [] !== $door->refusals(
                    $o['rung'],
                    Hands::fromSide($o['side']),
                );
            }),
        );
    }

    /** @return list<array{rung: Rung, side: Side, key: string}> */
    private function offered(Client $client): array
    {
        $offered = [];
        foreach ($this->plan->placements($client)->ladders as $placed) {
            foreach ($placed->offered() as $rung) {
                $offered[] = [
                    'rung' => $rung,
                    'side' => $placed->side,
                    'key' => (new RungOnSide($rung->id, $placed->side))->text(),
                ];
            }
        }

        return $offered;
    }
}
