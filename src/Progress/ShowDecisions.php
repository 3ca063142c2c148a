<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Account\ClinicRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Progress\Asked;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What waits for a decision, with its evidence, and what was decided. */
#[Route('/clients/{client}/decisions', name: 'progress_decisions', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowDecisions extends AbstractController
{
    public function __construct(
        private readonly OpenProposals $open,
        private readonly DecisionRepository $decisions,
        private readonly SittingRepository $sittings,
        private readonly Alerts $alerts,
        private readonly UsualPains $usual,
        private readonly PlanRepository $plans,
        private readonly Plan $plan,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
        private readonly Wording $words,
    ) {
    }

    public function __invoke(Client $client): Response
    {
        $asked = $this->open->asked($client);
        $lines = [];
        foreach ($this->sittings->log($client)->lines as $line) {
            $lines[$line->id] = $line;
        }
        $proposals = array_map(
            fn (Proposal $p): ProposalView => ProposalView::from(
                $p,
                $this->catalogue->get(),
                $lines,
                $this->plan->worseSide($client),
                words: $this->words,
            ),
            $asked->proposals,
        );

        return $this->render('Progress/decisions.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'proposals' => $proposals,
            'waiting' => $this->waiting($asked),
            'decisions' => \array_slice($this->decisions->for($client), 0, 20),
            'suspensions' => $this->plans->suspensions($client),
            'alerts' => $this->alerts->open($client),
            'usual' => $this->usual->notes($client),
            'parts' => ArmPart::cases(),
            'names' => $this->clinics->namesOfStaff(),
            'clinic' => $this->clinics->own(),
        ]);
    }

    /** @return array<string, list<string>> names of what would grow but waits, by why */
    private function waiting(Asked $asked): array
    {
        $waiting = [];
        foreach ($asked->waiting as [$item, $why]) {
            $waiting[$this->words->say($why)][] = $item->rung->name;
        }

        return $waiting;
    }
}
