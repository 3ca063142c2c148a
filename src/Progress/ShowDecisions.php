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
use HandGarden\Planning\Suspension;
use HandGarden\Planning\SuspensionWords;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\AlertTimes;
use HandGarden\Sitting\EventStore;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Symfony\Component\Uid\Uuid;

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
        private readonly EventStore $events,
        private readonly UsualPains $usual,
        private readonly PlanRepository $plans,
        private readonly Plan $plan,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly ClinicRepository $clinics,
        private readonly SuspensionWords $rests,
        private readonly Wording $words,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Client $client): Response
    {
        $asked = $this->open->asked($client);
        $decisions = \array_slice(
            $this->decisions->for($client),
            0,
            20,
        );
        $log = $this->sittings->log($client);
        $worse = $this->plan->worseSide($client);
        $groups = [];
        foreach ($asked->proposals as $proposal) {
            $view = ProposalView::from(
                $proposal,
                $this->catalogue->get(),
                $log,
                $worse,
            );
            $groups[$view->group->value][] = $view;
        }
        $order = array_column(DecisionGroup::cases(), 'value');
        uksort($groups, static fn (string $a, string $b): int => array_search(
            $a,
            $order,
            true,
        ) <=> array_search($b, $order, true));
        $hours = $this->clinics->own()->openingHours();

        return $this->render('Progress/decisions.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'groups' => $groups,
            'waiting' => $this->waiting($asked),
            'decisions' => $decisions,
            'mended' => $this->mended($client, $decisions),
            'suspensions' => array_map(fn (Suspension $s): array => [
                'name' => $this->rests->nameOf($s),
                'of' => $s,
            ], $this->plans->suspensions($client)),
            'of' => array_map(
                $this->nameOf(...),
                array_column($decisions, null, 'id'),
            ),
            'alerts' => array_map(static fn (Alert $alert): array => [
                'alert' => $alert,
                'times' => AlertTimes::of($alert, $hours),
            ], $this->alerts->open($client)),
            'now' => $this->clock->now(),
            'again' => $this->alerts->toLookAt($client),
            'usual' => $this->usual->notes($client),
            'parts' => ArmPart::cases(),
            'names' => $this->clinics->namesOfStaff(),
            'clinic' => $this->clinics->own(),
        ]);
    }

    /**
     * @param list<Decision> $decisions
     *
     * @return array<string, true> ids of those that rest on a line that was corrected since
     */
    private function mended(Client $client, array $decisions): array
    {
        $items = [];
        foreach ($decisions as $decision) {
            $newest = Proposal::newestOf($decision->proposalKey);
            if (DecisionAnswer::Declined !== $decision->answer && Uuid::isValid($newest)) {
                $items[$decision->id] = $newest;
            }
        }
        $mended = $this->events->mended(
            $client,
            array_values($items),
        );
        $resting = [];
        foreach ($decisions as $decision) {
            $at = $mended[$items[$decision->id] ?? ''] ?? null;
            if (null !== $at && $at > $decision->at) {
                $resting[$decision->id] = true;
            }
        }

        return $resting;
    }

    /** The exercise that was decided on; empty: the whole. */
    private function nameOf(Decision $decision): string
    {
        return $this->catalogue->get()->nameOf(
            $decision->rungId(),
        );
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
