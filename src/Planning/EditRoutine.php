<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Draft;
use HandGarden\Web\Clock;
use HandGarden\Web\Typed;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * Changes the routine by hand. An order that sets a rule aside waits for the reason; meanwhile the routine stays as it
 * was and what was asked for is shown with the rule.
 */
#[Route('/clients/{client}/routine', name: 'planning_edit_routine', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class EditRoutine extends AbstractController
{
    /** What was asked for and waits: for the reason why a rule is set aside, or because somebody else was faster. */
    public const WAITING = 'routine-waiting';

    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Briefs $briefs,
        private readonly RoutineChange $change,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->request);
        $this->plans->together(function () use ($request, $client, $kind): void {
            $routine = $this->plans->routine($client, $kind);
            if (null !== $routine) {
                $this->plans->lock($routine);
            }
            if (
                null !== $routine
                && (string) $routine->version !== (string) $request->request->get('version', '')
            ) {
                $this->addFlash(
                    self::WAITING,
                    [
                        'fields' => [
                            'version' => (string) $routine->version,
                        ] + Typed::texts($request),
                        'words' => $this->change->inWords($request->request),
                        'rules' => [],
                    ],
                );

                return;
            }
            $before = new Draft($this->plan->itemsOf($client, $routine), $routine->forbidden ?? []);
            try {
                $draft = $this->change->for($before, $request->request, $client, $kind);
            } catch (RefusedChange $e) {
                $this->addFlash('problem', $e->getMessage());

                return;
            }
            $draft = $this->questioned($draft, $before, $request, $client, kind: $kind);
            if (null === $draft) {
                return;
            }
            $routine ??= SavedRoutine::byHand(
                $client,
                $kind,
                $this->who->staff()->id,
                $this->clock->now(),
            );
            $routine->items = RoutineFormat::write($draft->items);
            $routine->forbidden = $draft->forbidden;
            $this->plans->keep($routine);
            $this->prescribe($client, $before, $draft);
            $this->audit->wrote(
                'changed routine: '.mb_substr((string) $request->request->get('do', ''), 0, 20),
                $client->id,
                $routine->id,
            );
        });

        return $this->redirect(
            $this->generateUrl(
                'planning_routine',
                ['client' => $client->id] + $kind->query(),
            ).'#items',
            Response::HTTP_SEE_OTHER,
        );
    }

    /** A dose that was set by hand becomes the one of record; what is new begins with its own. */
    private function prescribe(Client $client, Draft $before, Draft $draft): void
    {
        $by = new Prescribing($this->who->staff()->id, $this->clock->now());
        $was = [];
        foreach ($before->items as $item) {
            $was[$item->key()] = $item->dose;
        }
        foreach ($draft->items as $item) {
            $dose = $was[$item->key()] ?? null;
            if (null !== $dose && !$dose->isAsHardAs($item->dose)) {
                $this->plans->prescribe($client, $item->key(), $item->dose, DoseSource::Therapist, by: $by);
            }
        }
        $this->plans->prescribeNew($client, $draft->items, $by);
    }

    /** The draft as it may be kept; null: a rule would be set aside and nobody has said why. */
    private function questioned(
        Draft $draft,
        Draft $before,
        Request $request,
        Client $client,
        RoutineKind $kind,
    ): ?Draft {
        if ([] === $before->items) {
            return $draft; // the first item of a routine made by hand cannot have a warm-up before it
        }
        $broken = $draft->newlyBroken($this->briefs->rules($client, $kind), $before);
        $because = mb_substr(trim((string) $request->request->get('because', '')), 0, 300);
        if ([] !== $broken && '' === $because) {
            $this->addFlash(
                self::WAITING,
                [
                    'fields' => Typed::texts($request),
                    'words' => $this->change->inWords($request->request),
                    'rules' => array_map(
                        fn (BrokenRule $b): string => $this->wording->say($b->words),
                        $broken,
                    ),
                ],
            );

            return null;
        }

        return $draft->forced($broken, $because);
    }
}
