<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Core\Routine\Shape;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * A routine begins from a starting point of the clinic, or as that of another client; and the shape of one is kept as a
 * starting point. Doses, amounts and order are worked out for the client who gets it.
 */
#[IsGranted('ROLE_THERAPIST')]
final class StartFrom extends AbstractController
{
    private const NAME_LETTERS = 80;
    private const MOST_FIRST = 3;

    public function __construct(
        private readonly StartingPoints $points,
        private readonly ShapeToday $today,
        private readonly ClientRepository $clients,
        private readonly PlanRepository $plans,
        private readonly Briefs $briefs,
        private readonly CatalogueStore $catalogue,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    #[Route('/clients/{client}/routine/keep-shape', name: 'planning_keep_shape', methods: ['POST'])]
    public function keep(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->request);
        $name = trim($request->request->getString('name'));
        $shape = $this->points->shapeOf($client, $kind);
        $problem = match (true) {
            $shape->isEmpty() => 'Nothing is kept in or out here and nothing put first: there is no shape yet.',
            '' === $name || mb_strlen($name) > self::NAME_LETTERS => 'Give it a name of at most 80 letters.',
            str_contains(
                mb_strtolower($name),
                mb_strtolower($client->familyName),
            ) => 'Name it by what it is for, not by the client: it is used for others.',
            default => null,
        };
        if (null === $problem) {
            $point = new StartingPoint(
                $client->clinicId,
                $name,
                Condition::tryFrom($request->request->getString('condition')),
                ShapeFormat::write($shape),
                byStaffId: $this->who->staff()->id,
                at: $this->clock->now(),
            );
            $this->plans->keep($point);
            $this->audit->wrote('kept a starting point', null, $point->id);
        }
        $this->addFlash(
            null === $problem ? 'done' : 'problem',
            $problem ?? 'Kept as a starting point of the clinic. It holds nothing of this client.',
        );

        return $this->back($client, $kind);
    }

    #[Route('/clients/{client}/routine/start-from', name: 'planning_start_from', methods: ['POST'])]
    public function start(Request $request, Client $client): Response
    {
        $kind = RoutineKind::fromForm($request->request);
        $found = $this->found($request->request->getString('from'), $client, $kind);
        $seen = (string) ($this->plans->routine($client, $kind)->version ?? 0);
        $problem = match (true) {
            null === $found => 'Choose what it begins from.',
            $request->request->getString(
                'version',
                $seen,
            ) !== $seen => 'Somebody else changed this routine meanwhile. It is shown as it is now; nothing was begun.',
            default => null,
        };
        if (null !== $problem) {
            $this->addFlash('problem', $problem);

            return $this->back($client, $kind);
        }
        [$name, $shape] = $found;
        $fitting = $this->today->for($client, $kind, $shape, 'As in: '.$name);
        try {
            $this->plans->together(function () use ($client, $kind, $fitting, $name): void {
                $this->putFirst($client, $fitting['focus'], $name);
                $this->build($client, $kind, $fitting);
            });
        } catch (NothingFits $e) {
            $this->addFlash('problem', $this->wording->say($e->why()));

            return $this->back($client, $kind);
        }
        $this->audit->wrote('began from a starting point', $client->id);
        $this->addFlash('done', \sprintf(
            'Begun as in "%s": %d of its items stay in; the rest is worked out for this client.',
            $name,
            \count($fitting['edits']->pinned),
        ));
        foreach ($fitting['out'] as $out) {
            $this->addFlash('problem', 'Left out: '.$out['name'].'. '.$this->wording->sentence($out['why']));
        }

        return $this->back($client, $kind);
    }

    /** @return ?array{string, Shape} the name it goes by, and the shape */
    private function found(string $from, Client $client, RoutineKind $kind): ?array
    {
        [$what, $id] = explode(':', $from) + [1 => ''];
        $point = 'point' === $what ? $this->points->find($id) : null;
        if (null !== $point) {
            return [$point->name, $point->shape()];
        }
        $other = 'client' === $what && $id !== $client->id
            ? $this->clients->find(
                $client->clinicId,
                $id,
            )
            : null;
        if (null === $other || null === $this->plans->routine($other, $kind)) {
            return null;
        }
        $this->audit->read('planning_routine', $other->id);

        return ['another client', $this->points->shapeOf($other, $kind)];
    }

    /** @param array{edits: \HandGarden\Core\Routine\Edits, focus: list<string>, out: mixed} $fitting */
    private function build(Client $client, RoutineKind $kind, array $fitting): void
    {
        $routine = (new Builder($this->catalogue->get()))->build(
            $this->briefs->for($client, $kind, $fitting['edits']),
        );
        $saved = SavedRoutine::suggested(
            $routine,
            $client,
            $kind,
            $this->who->staff()->id,
            at: $this->clock->now(),
        );
        $saved->forbidden = $fitting['edits']->forbidden;
        $this->plans->keep($saved);
        $this->plans->prescribeNew(
            $client,
            $routine->sequence->items,
            new Prescribing($this->who->staff()->id, $this->clock->now()),
        );
    }

    /** @param list<string> $focus `ladder|side` */
    private function putFirst(Client $client, array $focus, string $name): void
    {
        $chosen = array_map(
            static fn (FocusChoice $c): string => $c->key(),
            $this->plans->focusChoices($client),
        );
        $new = \array_slice(array_diff($focus, $chosen), 0, max(0, self::MOST_FIRST - \count($chosen)));
        foreach ($new as $key) {
            [$ladder, $side] = explode('|', $key) + [1 => ''];
            $this->plans->keep(new FocusChoice(
                $client->clinicId,
                $client->id,
                $ladder,
                Side::from($side),
                note: 'As in: '.$name,
                byStaffId: $this->who->staff()->id,
                at: $this->clock->now(),
            ));
        }
    }

    private function back(Client $client, RoutineKind $kind): Response
    {
        return $this->redirectToRoute(
            'planning_routine',
            ['client' => $client->id] + $kind->query(),
            Response::HTTP_SEE_OTHER,
        );
    }
}
