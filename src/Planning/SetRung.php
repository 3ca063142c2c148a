<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Routine\Refusal;
use HandGarden\Web\Clock;
use HandGarden\Web\Seen;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * A therapist sets another rung than the computed one, with a note, or takes that back. Screening cannot be
 * overridden.
 */
#[Route('/clients/{client}/placement', name: 'planning_set_rung', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class SetRung extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Briefs $briefs,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $side = Side::tryFrom((string) $request->request->get('side', ''));
        $ladder = (string) $request->request->get('ladder', '');
        $rungId = (string) $request->request->get('rung', '');
        $note = trim((string) $request->request->get('note', ''));
        $placed = null === $side ? null : $this->plan->placements($client)->find($ladder, $side);
        if (null === $placed) {
            throw $this->createNotFoundException('No such ladder for this client.');
        }
        $standing = $this->standing($client, $ladder, $side);
        if (Seen::isStale($request, Seen::mark($standing->note ?? ''))) {
            $this->addFlash('problem', \sprintf(
                'Somebody else changed this meanwhile%s. Nothing was set%s. Look at it as it is now and set it again.',
                null === $standing ? '' : ' (‘'.$standing->note.'’)',
                '' === $note ? '' : '; you had written ‘'.mb_substr($note, 0, 300).'’',
            ));

            return $this->redirectToRoute(
                'planning_placement',
                ['client' => $client->id],
                Response::HTTP_SEE_OTHER,
            );
        }
        if ('' === $rungId) {
            if (null !== $standing) {
                $standing->withdrawnAt = $this->clock->now();
            }
            $this->plans->keep();
            $this->audit->wrote('withdrew rung', $client->id, $ladder);
            $this->addFlash('done', 'Back to the computed rung.');

            return $this->redirectToRoute(
                'planning_placement',
                ['client' => $client->id],
                Response::HTTP_SEE_OTHER,
            );
        }
        $rung = $placed->for($rungId)
            ?? throw $this->createNotFoundException('No such rung on this ladder.');
        $closed = $this->closed($client, $rung->rung, $side);
        if (null !== $closed) {
            $this->addFlash(
                'problem',
                'This keeps the rung out, and no note lifts it. '.$this->wording->say($closed->why),
            );
        } elseif ('' === $note || mb_strlen($note) > 300) {
            $this->addFlash(
                'problem',
                'Say in a few words why: the note stays beside the computed rung. '
                    .$rung->rung->name
                    .' was not set.',
            );
        } else {
            $this->plans->keep(
                new PlacementOverride(
                    $client->clinicId,
                    $client->id,
                    $ladder,
                    $side,
                    rungId: $rungId,
                    note: $note,
                    byStaffId: $this->who->staff()->id,
                    at: $this->clock->now(),
                ),
            );
            $this->audit->wrote('set rung', $client->id, $rungId);
            $this->addFlash('done', 'Set: '.$rung->rung->name.'.');
        }

        return $this->redirectToRoute(
            'planning_placement',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** What nobody's note lifts, with a therapist beside: who is needed at home is asked when a routine is made. */
    private function closed(Client $client, Rung $rung, ?Side $side): ?Refusal
    {
        return null === $side
            ? null
            : $this->briefs->door($client, RoutineKind::Clinic)->closes($rung, Hands::fromSide($side));
    }

    private function standing(
        Client $client,
        string $ladder,
        ?Side $side,
    ): ?PlacementOverride {
        foreach ($this->plans->overrides($client) as $override) {
            if ($override->ladderKey === $ladder && $override->side === $side) {
                return $override;
            }
        }

        return null;
    }
}
