<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Account\Audit;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Routine\Item;
use HandGarden\Planning\GivenToday;
use HandGarden\Planning\ListToday;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Web\Clock;
use HandGarden\Web\Typed;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Asks what has to be known before a sitting, and begins it. */
#[Route('/clients/{client}/sittings/new', name: 'sitting_start', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_STAFF')]
final class StartSitting extends AbstractController
{
    public function __construct(
        private readonly SittingRepository $sittings,
        private readonly Plan $plan,
        private readonly GivenToday $given,
        private readonly ListToday $list,
        private readonly PlanRepository $plans,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly LatePain $latePain,
        private readonly Audit $audit,
        private readonly Clock $clock,
        private readonly BeginSitting $begin,
        private readonly HelperLines $helper,
        private readonly Hindrances $hindrances,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $earlier = array_values(
            array_filter(
                $this->sittings->lastLogged($client),
                fn (SittingItem $i): bool => $this->catalogue->get()->hasRung($i->rungId),
            ),
        );
        $asked = $request->isMethod('POST') ? $request->request : $request->query;
        $kind = $asked->has('kind') ? RoutineKind::fromForm($asked) : $this->list->kind($client);
        $given = $this->given->for($client, $kind);
        $hindrance = $this->hindrances->of($client) ?? ([] === $given->items
            ? 'There is no routine yet. A therapist makes one under Routine.'
            : null);
        $problems = [];
        if ($request->isMethod('POST') && null === $hindrance) {
            $pain = BeginSitting::pain($request);
            if (null === $pain) {
                $problems['pain_before'] = BeginSitting::ASK_PAIN;
            }
            if (
                [] !== $earlier
                && !\in_array($request->request->get('hurt_later'), ['yes', 'no'], true)
            ) {
                $problems['hurt_later'] = 'Ask this before every start.';
            }
            if (!\in_array($request->request->get('help'), ['none', 'some'], true)) {
                $problems['help'] = 'Say it: without it nothing can be made harder.';
            }
            if ([] === $problems) {
                if ('yes' === $request->request->get('hurt_later')) {
                    $this->latePain->of(
                        $client,
                        $earlier,
                        (string) $request->request->get('hurt_item', ''),
                        EventTime::now($this->clock->now(), $client->zone),
                    );
                }
                $sitting = $this->begin(
                    $client,
                    $given->items,
                    $pain,
                    'none' === $request->request->get('help'),
                );
                $this->audit->wrote('began sitting', $client->id, $sitting->id);

                return $this->redirectToRoute(
                    'sitting_play',
                    ['sitting' => $sitting->id],
                    Response::HTTP_SEE_OTHER,
                );
            }
        }

        return $this->render('Sitting/start.html.twig', [
            'client' => $client,
            'kind' => $kind,
            'kinds' => $this->plans->kinds($client),
            'banner' => $this->cautions->for($client),
            'hindrance' => $hindrance,
            'unfinished' => null === $hindrance
                ? $this->sittings->unfinished($client, $this->clock->today($client->zone))
                : null,
            'resting' => $given->resting,
            'problems' => $problems,
            'earlier' => array_map(
                fn (SittingItem $i): array => [
                    'id' => $i->id,
                    'name' => $this->catalogue->get()->rung($i->rungId)->name,
                ],
                $earlier,
            ),
            'earlierDay' => $earlier[0]->day ?? null,
            'typed' => Typed::texts($request),
            'setUp' => $this->catalogue->get()->screening->setUpCheck,
        ], new Response(status: [] === $problems ? 200 : 422));
    }

    /** @param list<Item> $items */
    private function begin(
        Client $client,
        array $items,
        int $painBefore,
        bool $unaided,
    ): Sitting {
        $sitting = $this->begin->now($client, $painBefore);
        $sitting->unaided = $unaided;
        $this->begin->keep(
            $sitting,
            $client,
            $items,
            $this->plan->worseSide($client),
            more: fn (array $ids): array => $this->helper->in($client, $ids, $items) + ReadsSigns::in(
                $client,
            ),
        );

        return $sitting;
    }
}
