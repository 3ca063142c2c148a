<?php

declare(strict_types=1);

namespace HandGarden\Wearing;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Client\Helpers;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Wearing\Worn;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What is worn beside the sittings: begun, made longer or shorter, looked at, ended. */
#[Route('/clients/{client}/wearing', name: 'wearing_plans')]
final class ShowWearing extends AbstractController
{
    public function __construct(
        private readonly Wears $wears,
        private readonly WearSheets $sheets,
        private readonly MayWear $may,
        private readonly CatalogueStore $catalogue,
        private readonly Helpers $helpers,
        private readonly ClinicRepository $clinics,
        private readonly Cautions $cautions,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    #[IsGranted('ROLE_STAFF')]
    public function page(Client $client): Response
    {
        return $this->shown($client);
    }

    #[Route('/begin', name: '_begin', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function begin(Request $request, Client $client): Response
    {
        $worn = Worn::tryFrom((string) $request->request->get('worn', ''));
        $side = Side::tryFrom((string) $request->request->get('side', ''));
        $when = trim((string) $request->request->get('when', ''));
        $morning = (string) $request->request->get('morning', '');
        $morningId = isset($this->helpers->there($client)[$morning]) ? $morning : null;
        if (null === $worn || null === $side || mb_strlen($when) > WearPlan::WHEN_LETTERS) {
            return $this->shown($client, problem: 'Choose what is worn, and on which hand.');
        }
        foreach ($this->wears->plans($client) as $plan) {
            if ($plan->worn === $worn && $plan->side === $side) {
                return $this->shown($client, problem: 'This is worn on that hand already.');
            }
        }
        $why = $this->may->refusals($client, $worn, $side, $worn->steps()[0], morningId: $morningId);
        if ([] !== $why) {
            return $this->shown($client, problem: 'Not yet:', why: $why);
        }
        $today = $this->clock->today($client->zone);
        $plan = new WearPlan(
            $client->clinicId,
            $client->id,
            $worn,
            $worn->rung($this->catalogue->get())->id ?? '',
            side: $side,
            step: 0,
            when: $when,
            morningId: $morningId,
            beganOn: $today,
            fitOn: $today,
            byStaffId: $this->who->staff()->id,
            at: $this->clock->now(),
        );
        $this->wears->keep($plan);
        $this->audit->wrote('began wearing', $client->id, $plan->id);
        $this->addFlash('done', 'Begun with the shortest time.');

        return $this->back($client);
    }

    #[Route('/{plan}', name: '_change', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function change(Request $request, Client $client, string $plan): Response
    {
        $found = $this->wears->plan($client, $plan);
        if (null === $found || null !== $found->endedAt) {
            throw $this->createNotFoundException('No such plan of wearing.');
        }
        $do = (string) $request->request->get('do', '');
        if ('longer' === $do) {
            return $this->longer($client, $found);
        }
        $did = match ($do) {
            'shorter' => 0 === $found->step ? null : $this->to($client, $found, $found->step - 1),
            'fit' => $this->fit($client, $found),
            'end' => $this->end($found),
            default => null,
        };
        $this->addFlash(null === $did ? 'problem' : 'done', $did ?? 'Nothing was changed.');
        if (null !== $did) {
            $this->audit->wrote('changed wearing', $client->id, $found->id);
        }

        return $this->back($client);
    }

    /** Only after two clean looks on two days, and where it may. */
    private function longer(Client $client, WearPlan $plan): Response
    {
        $next = $plan->worn->steps()[$plan->step + 1] ?? null;
        $growth = null;
        foreach ($this->sheets->of($client) as $sheet) {
            $growth = $sheet->plan === $plan && !$sheet->isHeld ? $sheet->growth() : $growth;
        }
        if (null === $next || null === $growth || !$growth->isAsked) {
            return $this->shown($client, problem: 'Longer only after two clean looks on two days.');
        }
        $why = $this->may->refusals($client, $plan->worn, $plan->side, $next, morningId: $plan->morningId);
        if ([] !== $why) {
            return $this->shown($client, problem: 'Not yet:', why: $why);
        }
        $this->addFlash('done', $this->to($client, $plan, $plan->step + 1));
        $this->audit->wrote('made wearing longer', $client->id, $plan->id);

        return $this->back($client);
    }

    private function to(Client $client, WearPlan $plan, int $step): string
    {
        $now = $this->clock->now();
        $by = $this->who->staff()->id;
        $plan->end($by, $now);
        $this->wears->keep($plan->at($step, $by, $this->clock->today($client->zone), $now));

        return 'Changed. At home it stands from the next look at the network on.';
    }

    private function fit(Client $client, WearPlan $plan): string
    {
        $plan->fitOn = $this->clock->today($client->zone);
        $this->wears->keep();

        return 'The fit was looked at today.';
    }

    private function end(WearPlan $plan): string
    {
        $plan->end($this->who->staff()->id, $this->clock->now());
        $this->wears->keep();

        return 'Ended. What was worn stays in the logbook.';
    }

    /** @param list<Phrase> $why */
    private function shown(Client $client, ?string $problem = null, array $why = []): Response
    {
        return $this->render('Wearing/plans.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'sheets' => $this->sheets->of($client),
            'kinds' => Worn::cases(),
            'helpers' => $this->helpers->there($client),
            'names' => $this->clinics->namesOfStaff(),
            'today' => $this->clock->today($client->zone),
            'problem' => $problem,
            'why' => $why,
        ], new Response(
            status: null === $problem ? Response::HTTP_OK : Response::HTTP_UNPROCESSABLE_ENTITY,
        ));
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute('wearing_plans', ['client' => $client->id], Response::HTTP_SEE_OTHER);
    }
}
