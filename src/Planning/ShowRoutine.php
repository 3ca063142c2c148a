<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Routine\Builder;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The routine with its meters, to be changed on the page or printed. */
#[IsGranted('ROLE_STAFF')]
final class ShowRoutine extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly PlanWeek $week,
        private readonly Paper $paper,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/routine', name: 'planning_routine', methods: ['GET'])]
    public function page(Client $client): Response
    {
        return $this->show('Planning/routine.html.twig', $client);
    }

    #[Route('/clients/{client}/routine/print', name: 'planning_print', methods: ['GET'])]
    public function print(Client $client): Response
    {
        return $this->show('Planning/print.html.twig', $client);
    }

    /** Routine and week on paper, as a file: large type, pictures, cautions, boxes to tick, what is needed. */
    #[Route('/clients/{client}/handout.pdf', name: 'planning_handout', methods: ['GET'])]
    public function handout(Client $client): Response
    {
        $week = $this->week->of($client, $this->week->monday($client, ''));
        $handbook = $this->catalogue->get()->handbook();
        $html = $this->renderView('Planning/handout.html.twig', $this->values($client) + [
            'week' => $week,
            'materials' => array_map(static fn (string $key): string => $handbook->material($key)->label ?? $key, $week->materials()),
        ]);

        return new Response($this->paper->pdf($html), 200, ['Content-Type' => 'application/pdf', 'Content-Disposition' => 'inline; filename="handout.pdf"']);
    }

    private function show(string $template, Client $client): Response
    {
        return $this->render($template, $this->values($client));
    }

    /** @return array<string, mixed> */
    private function values(Client $client): array
    {
        $routine = $this->plans->routine($client);
        $items = $this->plan->itemsOf($routine);
        $limits = $this->plan->limits($client);
        $rules = (new Builder($this->catalogue->get()))->rulesFor($this->plan->placements($client), $this->plan->facts($client), $limits, $this->clock->today($client->zone));
        $view = new RoutineView($items, [] === $items ? [] : $rules->broken($items), $limits->seconds(), $limits->effortBudget(), $this->plan->worseSide($client));

        return [
            'client' => $client,
            'banner' => $this->cautions->of($client),
            'routine' => $routine,
            'view' => $view,
            'catalogue' => $this->catalogue->get(),
            'goal' => $this->catalogue->get()->goal($client->goalKey),
            'stopRules' => $this->catalogue->get()->screening->stopRules,
            'pulling' => $this->catalogue->get()->screening->pullingIsFine,
        ];
    }
}
