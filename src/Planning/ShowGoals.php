<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Data\Dates;
use HandGarden\Core\Goal\Distances;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Web\Clock;
use HandGarden\Web\Typed;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Daily tasks as long-term goals with the rungs before them, and rungs as short-term goals with a day. */
#[IsGranted('ROLE_STAFF')]
final class ShowGoals extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Briefs $briefs,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/goals', name: 'planning_goals', methods: ['GET'])]
    public function page(Client $client): Response
    {
        return $this->show($client, [], []);
    }

    #[Route('/clients/{client}/goals', name: 'planning_set_goal', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function set(Request $request, Client $client): Response
    {
        $form = $request->request;
        if ($form->has('withdraw')) {
            foreach ($this->plans->shortTermGoals($client) as $goal) {
                if ($goal->id === (string) $form->get('withdraw')) {
                    $goal->withdrawnAt = $this->clock->now();
                    $this->plans->keep($goal);
                    $this->audit->wrote('withdrew short-term goal', $client->id, $goal->id);
                }
            }

            return $this->redirectToRoute(
                'planning_goals',
                ['client' => $client->id],
                Response::HTTP_SEE_OTHER,
            );
        }
        $chosen = RungOnSide::fromText((string) $form->get('rung', ''));
        $rungId = $chosen->rungId ?? '';
        $side = $chosen?->side;
        $by = Dates::day((string) $form->get('by', ''));
        $note = trim((string) $form->get('note', ''));
        $problems = array_filter([
            'rung' => null === $side
                || !$this->catalogue->get()->hasRung($rungId)
                || null === $this->plan
                    ->placements($client)
                    ->find($this->catalogue->get()->ladderOf($rungId)->key, $side)
                    ?->for($rungId)
                ? 'Choose a rung of one of the ladders.'
                : null,
            'by' => null === $by || $by <= $this->clock->today($client->zone)
                ? 'A day to come, written as YYYY-MM-DD.'
                : null,
            'note' => mb_strlen($note) > 300 ? 'At most 300 letters.' : null,
        ]);
        if ([] !== $problems || null === $side || null === $by) {
            return $this->show($client, $problems, Typed::texts($request));
        }
        $goal = new ShortTermGoal(
            $client->clinicId,
            $client->id,
            $rungId,
            $side,
            byDay: $by,
            note: $note,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        );
        $this->plans->keep($goal);
        $this->audit->wrote('set short-term goal', $client->id, $goal->id);
        $this->addFlash('done', 'Kept.');

        return $this->redirectToRoute(
            'planning_goals',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /**
     * @param array<string, string>                       $problems
     * @param array<array-key, string>                    $typed
     */
    private function show(Client $client, array $problems, array $typed): Response
    {
        $catalogue = $this->catalogue->get();
        $placements = $this->plan->placements($client);
        $distances = new Distances($catalogue, $placements);
        $sides = $client->affected();
        \assert([] !== $sides, 'The form asks for one.');
        $tasks = array_map(
            static fn (array $goal): array => [
                'task' => $goal[0],
                'weight' => $goal[1],
                'skills' => $distances->for($goal[0], $sides),
            ],
            $this->briefs->goals($client)->goals,
        );

        return $this->render('Planning/goals.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'tasks' => $tasks,
            'shortTerm' => array_map(
                fn (ShortTermGoal $g): GoalView => GoalView::from(
                    $g,
                    $catalogue,
                    $placements,
                    $this->clock->today($client->zone),
                ),
                $this->plans->shortTermGoals($client),
            ),
            'choices' => GoalView::choices($placements),
            'problems' => $problems,
            'typed' => $typed,
            'inFourWeeks' => $this->clock->today($client->zone)->modify('+28 days'),
        ], new Response(status: [] === $problems ? 200 : 422));
    }
}
