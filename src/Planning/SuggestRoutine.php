<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Core\Routine\OtherDays;
use HandGarden\Core\Routine\WhatElse;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Makes a routine that fits, around what the therapist keeps in and out; the one before stays in the record. */
#[Route('/clients/{client}/routine/suggest', name: 'planning_suggest', methods: ['POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class SuggestRoutine extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly Briefs $briefs,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->request);
        $back = $this->redirectToRoute(
            'planning_routine',
            ['client' => $client->id] + $kind->query(),
            Response::HTTP_SEE_OTHER,
        );
        $before = $this->plans->routine($client, $kind);
        $seen = (string) ($before->version ?? 0); // 0: nobody has made one yet
        if ($request->request->get('version', $seen) !== $seen) {
            $this->addFlash(
                'problem',
                'Somebody else changed this routine meanwhile. It is shown as it is now; nothing was suggested. Look '
                    .'at it, then suggest anew.',
            );

            return $back;
        }
        $forbidden = $before->forbidden ?? [];
        $edits = $request->request->getBoolean('afresh')
            ? new Edits()
            : Edits::in($this->plan->itemsOf($client, $before), $forbidden);
        $first = RoutineKind::Other === $kind ? $this->plan->items($client) : [];
        if (RoutineKind::Other === $kind && [] === $first) {
            $this->addFlash('problem', 'First make the list of the A days, under At home.');

            return $back;
        }
        $turns = (new OtherDays($this->catalogue->get()))->takingTurns(
            $first,
            [] === $first ? [] : $this->briefs->focus($client, $kind),
        );
        $brief = $this->briefs->for(
            $client,
            $kind,
            new Edits($edits->pinned, [...$edits->forbidden, ...$turns]),
        );
        try {
            $routine = (new Builder($this->catalogue->get()))->build($brief);
        } catch (NothingFits $e) {
            $this->addFlash('problem', $this->wording->say($e->why()));

            return $back;
        }
        if ([] !== $first && !OtherDays::differ($first, $routine->sequence->items)) {
            $this->addFlash('problem', 'Nothing more stands for other days: one list serves every day.');

            return $back;
        }
        $else = (new WhatElse($this->catalogue->get()))->for($routine, $brief);
        $saved = SavedRoutine::suggested(
            $routine,
            $client,
            $kind,
            $this->who->staff()->id,
            at: $this->clock->now(),
            else: $else,
        );
        $saved->forbidden = $edits->forbidden;
        $by = new Prescribing($this->who->staff()->id, $this->clock->now());
        $this->plans->together(function () use ($saved, $client, $routine, $by): void {
            $this->plans->keep($saved);
            $this->plans->prescribeNew($client, $routine->sequence->items, $by);
        });
        $this->audit->wrote('suggested routine: '.$kind->value, $client->id);
        $this->addFlash(
            'done',
            [] === $edits->pinned && [] === $edits->forbidden
                ? 'A new routine, within the time.'
                : 'A new routine around what you keep in and out.',
        );

        return $back;
    }
}
