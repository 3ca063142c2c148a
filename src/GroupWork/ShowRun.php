<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Sitting\FinishSitting;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A class while it is led: the page of whoever leads it, and the wall. */
#[Route('/class-runs/{run}', name: 'class_run')]
#[IsGranted('ROLE_STAFF')]
final class ShowRun extends AbstractController
{
    public function __construct(
        private readonly Classes $classes,
        private readonly RunState $state,
        private readonly MarkShown $shown,
        private readonly FinishSitting $finish,
        private readonly SittingRepository $sittings,
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('', name: '', methods: ['GET'])]
    public function show(string $run): Response
    {
        $found = $this->classes->run($run);
        $class = $this->classes->get($found->classId);
        $going = $this->state->of($found);
        $clients = [];
        foreach ($going->places as $place) {
            $this->audit->read('class', $place->place->clientId);
            $clients[$place->place->number] = $this->client($place->place);
        }

        return $this->render('GroupWork/run.html.twig', [
            'class' => $class,
            'run' => $found,
            'going' => $going,
            'clients' => $clients,
            'cards' => array_map(
                static fn (GoingPlace $p): array => CardFormat::read($p->place->card),
                $going->places,
            ),
            'items' => array_map(static fn (GoingPlace $p): array => $p->byExercise(), $going->places),
            'names' => $found->names,
            'catalogue' => $this->catalogue->get(),
        ]);
    }

    #[Route('/wall', name: '_wall', methods: ['GET'])]
    public function wall(string $run): Response
    {
        return $this->render('GroupWork/wall.html.twig', ['run' => $this->classes->run($run)]);
    }

    #[Route('/sheet', name: '_sheet', methods: ['GET'])]
    public function sheet(string $run): JsonResponse
    {
        return new JsonResponse($this->classes->wall($this->classes->run($run)));
    }

    #[Route('/state', name: '_state', methods: ['GET'], defaults: ['_quiet' => true])]
    public function state(string $run): JsonResponse
    {
        return new JsonResponse(
            $this->state->of($this->classes->run($run))->told(),
            headers: ['Cache-Control' => 'no-store'],
        );
    }

    /** The wall says what it shows, so that each place can follow. */
    #[Route('/at', name: '_at', methods: ['POST'])]
    public function at(Request $request, string $run): JsonResponse
    {
        $found = $this->classes->run($run);
        $at = $request->request->getInt('at', ClassRun::BEFORE);
        if (!$found->isOver() && isset($found->names[$at])) {
            $found->at = $at;
            $this->classes->keep($found);
        }

        return new JsonResponse($this->state->of($found)->told());
    }

    #[Route('/act', name: '_act', methods: ['POST'])]
    public function act(Request $request, string $run): Response
    {
        $found = $this->classes->run($run);
        $message = match ((string) $request->request->get('do', '')) {
            'shown' => $this->allAsShown($found),
            'came' => $this->came($found, $request->request->getInt('place')),
            'on' => $this->goOn($found),
            'end' => $this->end($found),
            default => 'Choose what is to be done; nothing was.',
        };
        $this->addFlash('done', $message);
        $this->audit->wrote('led a class', null, $found->id);

        return $this->redirectToRoute('class_run', ['run' => $found->id], Response::HTTP_SEE_OTHER);
    }

    private function allAsShown(ClassRun $run): string
    {
        if (ClassRun::BEFORE === $run->at) {
            return 'The wall has shown nothing yet: nothing was marked.';
        }

        return \sprintf(
            '%d marked as done, without holds, counts or pain: no evidence for more. Tell the exceptions below.',
            $this->shown->in($this->state->of($run)),
        );
    }

    private function came(ClassRun $run, int $number): string
    {
        foreach ($this->classes->places($run) as $place) {
            if ($place->number === $number) {
                $place->cameAt = $this->clock->now();
                $this->classes->keep($place);

                return \sprintf(
                    'Place %d calls no longer. What rests there stays at rest until it is answered.',
                    $number,
                );
            }
        }

        return 'There is no such place.';
    }

    private function goOn(ClassRun $run): string
    {
        if (!$this->isGranted('ROLE_THERAPIST')) {
            return 'A therapist lets it go on; it still stands.';
        }
        $run->wentOnAt = $this->clock->now();
        $this->classes->keep($run);

        return 'The wall goes on where it stood.';
    }

    private function end(ClassRun $run): string
    {
        $run->endedAt ??= $this->clock->now();
        foreach ($this->classes->places($run) as $place) {
            [$sitting, $client] = $this->sittings->findToChange(
                $place->clinicId,
                $place->sittingId,
            ) ?? [null, null];
            if (null === $sitting || null === $client || null !== $sitting->finishedAt) {
                continue;
            }
            $this->finish->now($sitting, $client);
        }
        $this->classes->keep($run);

        return 'The class is over; every sitting is kept.';
    }

    private function client(RunPlace $place): ?Client
    {
        return $this->clients->find($place->clinicId, $place->clientId);
    }
}
