<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Planning\Paper;
use HandGarden\Planning\Plan;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The cards of a class on paper, one page a place, for those who have no screen there. */
#[Route('/classes/{class}/cards.pdf', name: 'class_cards', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class PrintCards extends AbstractController
{
    public function __construct(
        private readonly Classes $classes,
        private readonly Members $members,
        private readonly ClassPlan $plan,
        private readonly Plan $plans,
        private readonly ClinicRepository $clinics,
        private readonly Paper $paper,
        private readonly Audit $audit,
    ) {
    }

    public function __invoke(string $class): Response
    {
        $found = $this->classes->get($class);
        $places = [];
        foreach (Members::able($this->members->of($found)) as $member) {
            $this->audit->read('class', $member->client->id);
            $places[] = [
                'number' => $member->number,
                'name' => $member->client->givenName,
                'worse' => $this->plans->worseSide($member->client),
                'card' => $this->plan->card($found, $member->client),
            ];
        }

        return new Response(
            $this->paper->pdf($this->renderView('GroupWork/cards.html.twig', [
                'class' => $found,
                'rungs' => $this->plan->rungs($found),
                'places' => $places,
                'emergency' => $this->clinics->own()->emergencyNumber,
            ])),
            headers: [
                'Content-Type' => 'application/pdf',
                'Content-Disposition' => 'inline; filename="cards.pdf"',
            ],
        );
    }
}
