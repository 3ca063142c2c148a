<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Cautions;
use HandGarden\Client\CautionsView;
use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Placement\LadderPlacement;
use HandGarden\Core\Routine\Draft;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\Priority;
use HandGarden\Core\Routine\Swaps;
use HandGarden\Core\Routine\TaskToday;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpFoundation\Session\FlashBagAwareSessionInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The routine with its meters, to be changed on the page or printed. */
#[IsGranted('ROLE_STAFF')]
final class ShowRoutine extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly GivenToday $given,
        private readonly PlanRepository $plans,
        private readonly Briefs $briefs,
        private readonly RoutineChange $change,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly PlanWeek $week,
        private readonly Paper $paper,
        private readonly StartingPoints $points,
        private readonly Helpers $helpers,
        private readonly AddressPicture $address,
    ) {
    }

    #[Route('/clients/{client}/routine', name: 'planning_routine', methods: ['GET'])]
    public function page(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->query);
        $values = $this->values($client, $kind);
        $catalogue = $this->catalogue->get();
        $chosen = $this->isGranted('ROLE_THERAPIST') ? (string) $request->query->get('item', '') : '';
        $forbidden = [];
        foreach ($values['routine']->forbidden ?? [] as $key) {
            $item = ItemKey::fromText($key);
            $name = null !== $item && $catalogue->hasRung($item->rungId)
                ? $catalogue->rung($item->rungId)->name
                : $item->rungId ?? $key;
            $forbidden[$key] = $name.' ('.($item->hands->value ?? '').')';
        }

        return $this->render('Planning/routine.html.twig', $values + [
            'given' => $this->given->for($client, $kind),
            'ladders' => $this->plan->placements($client)->ladders,
            'kinds' => RoutineKind::cases(),
            'chosen' => $chosen,
            'swaps' => '' === $chosen ? null : $this->swaps($client, $kind),
            'forbidden' => $forbidden,
            'waiting' => $this->waiting($request),
        ] + ($this->isGranted('ROLE_THERAPIST') ? $this->beginnings($client) : []));
    }

    /** @return array<string, mixed> what a routine can begin from; asked for whoever may begin one */
    private function beginnings(Client $client): array
    {
        return [
            'points' => $this->points->for($client),
            'others' => array_diff_key(
                $this->plans->namesWithRoutine($client->clinicId),
                [$client->id => ''],
            ),
        ];
    }

    /** One row with all that can be done with it. */
    #[Route('/clients/{client}/routine/item', name: 'planning_item', methods: ['GET'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function item(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->query);
        $values = $this->values($client, $kind);
        foreach ($values['view']->items as $at => $item) {
            if ($item->key() === (string) $request->query->get('item', '')) {
                return $this->render('Planning/_routine-item.html.twig', $values + [
                    'item' => $item,
                    'at' => $at,
                    'mayEdit' => true,
                    'isChosen' => true,
                    'swaps' => $this->swaps($client, $kind),
                ]);
            }
        }
        throw $this->createNotFoundException();
    }

    private function swaps(Client $client, RoutineKind $kind): Swaps
    {
        return new Swaps($this->catalogue->get(), $this->briefs->for($client, $kind));
    }

    /** The meters as they would be with a dose that is being typed; nothing is kept. */
    #[Route('/clients/{client}/routine/meters', name: 'planning_meters', methods: ['GET'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function meters(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->query);
        $draft = new Draft($this->plan->items($client, $kind));
        $at = $request->query->getInt('item', -1);
        if (!isset($draft->items[$at])) {
            throw $this->createNotFoundException();
        }
        try {
            $draft = $draft->dosed(
                $at,
                $this->change->typed($draft->items[$at], $request->query, $client),
            );
            $problem = '';
        } catch (RefusedChange $e) {
            $problem = $e->getMessage();
        }

        return $this->render(
            'Planning/_meters.html.twig',
            [
                'view' => $this->view($client, $kind, $draft->items),
                'problem' => $problem,
                'trying' => true,
            ],
        );
    }

    #[Route('/clients/{client}/routine/print', name: 'planning_print', methods: ['GET'])]
    public function print(Request $request, Client $client): Response
    {
        return $this->render(
            'Planning/print.html.twig',
            $this->onPaper($client, RoutineKind::fromForm($request->query)),
        );
    }

    /** Routine and week on paper, as a file: large type, pictures, cautions, boxes to tick, what is needed. */
    #[Route('/clients/{client}/handout.pdf', name: 'planning_handout', methods: ['GET'])]
    public function handout(Request $request, Client $client): Response
    {
        $week = $this->week->for($client, $this->week->monday($client, ''));
        $handbook = $this->catalogue->get()->handbook();
        $html = $this
            ->renderView(
                'Planning/handout.html.twig',
                $this->onPaper($client, RoutineKind::fromForm($request->query)) + [
                    'week' => $week,
                    'materials' => array_map(
                        static fn (string $key): string => $handbook->material($key)->label ?? $key,
                        $week->materials(),
                    ),
                    'techniques' => $handbook->techniques,
                    'isHelped' => [] !== $this->helpers->there($client),
                    'address' => $this->address->address(),
                    'addressPicture' => $this->address->inline(),
                ],
            );

        return new Response(
            $this->paper->pdf($html),
            200,
            [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'inline; filename="handout.pdf"',
            ],
        );
    }

    /**
     * @return array{
     *     client: Client,
     *     kind: RoutineKind,
     *     minutes: int,
     *     banner: CautionsView,
     *     routine: ?SavedRoutine,
     *     view: RoutineView,
     *     catalogue: Catalogue,
     *     goals: Goals,
     *     focus: list<array{LadderPlacement, Priority}>,
     *     chosenFocus: list<FocusChoice>,
     *     task: ?TaskToday,
     *     stopRules: mixed,
     *     pulling: mixed,
     * }
     */
    private function values(Client $client, RoutineKind $kind): array
    {
        $routine = $this->plans->routine($client, $kind);
        $screening = $this->catalogue->get()->screening;

        return [
            'client' => $client,
            'kind' => $kind,
            'minutes' => $this->briefs->limits($client, $kind)->minutes,
            'banner' => $this->cautions->for($client),
            'routine' => $routine,
            'view' => $this->view($client, $kind, $this->plan->itemsOf($client, $routine)),
            'catalogue' => $this->catalogue->get(),
            'goals' => $this->briefs->goals($client),
            'focus' => $this->briefs->focus($client, $kind),
            'chosenFocus' => $this->plans->focusChoices($client),
            'task' => $this->briefs->task($client, $kind),
            'stopRules' => $screening->stopRules,
            'pulling' => $screening->pullingIsFine,
        ];
    }

    /**
     * What is printed is what is given today.
     *
     * @return array<string, mixed>
     */
    private function onPaper(Client $client, RoutineKind $kind): array
    {
        return ['view' => $this->view($client, $kind, $this->given->for($client, $kind)->items)]
            + $this->values($client, $kind);
    }

    /** @param list<Item> $items */
    private function view(Client $client, RoutineKind $kind, array $items): RoutineView
    {
        $limits = $this->briefs->limits($client, $kind);

        return new RoutineView(
            $items,
            [] === $items ? [] : $this->briefs->rules($client, $kind)->broken($items),
            $limits->seconds(),
            $limits->effortBudget(),
            worse: $this->plan->worseSide($client),
            limits: $limits,
        );
    }

    /** @return array<mixed>|null a change that waits for its reason: its fields, words and rules */
    private function waiting(Request $request): ?array
    {
        $session = $request->getSession();
        \assert($session instanceof FlashBagAwareSessionInterface);
        $waiting = $session->getFlashBag()->get(EditRoutine::WAITING);

        return \is_array($waiting[0] ?? null) ? $waiting[0] : null;
    }
}
