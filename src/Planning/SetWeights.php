<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\ClinicRepository;
use HandGarden\Core\Routine\Weights;
use HandGarden\Web\Seen;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** What the aims of a routine are worth in this clinic, and how long a sitting with a therapist takes. */
#[Route('/clinic/weights', name: 'planning_weights', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_LEAD')]
final class SetWeights extends AbstractController
{
    private const MINUTES = [10, 90];

    public function __invoke(
        Request $request,
        ClinicRepository $clinics,
        PlanRepository $plans,
        Audit $audit,
    ): Response {
        $clinic = $request->isMethod('POST') ? $clinics->ownToChange() : $clinics->own();
        $defaults = (new Weights())->toArray();
        $typed = array_map(
            strval(...),
            Weights::fromArray($clinic->routineWeights)->toArray(),
        ) + ['minutes' => (string) $clinic->sittingMinutes];
        $kept = $typed;
        $seen = Seen::mark(...array_values($kept));
        $isStale = $request->isMethod('POST') && Seen::isStale($request, $seen);
        $problems = [];
        if ($request->isMethod('POST')) {
            foreach (array_keys($typed) as $name) {
                $typed[$name] = trim((string) $request->request->get($name, $typed[$name]));
                [$least, $most] = 'minutes' === $name ? self::MINUTES : [0, Weights::MOST];
                if (
                    1 !== preg_match('/^\d{1,3}$/', $typed[$name])
                    || (int) $typed[$name] < $least
                    || (int) $typed[$name] > $most
                ) {
                    $problems[$name] = \sprintf('A whole number from %d to %d.', $least, $most);
                }
            }
            foreach ($isStale ? $kept : [] as $name => $value) {
                if ($typed[$name] !== $value) {
                    $problems[$name] ??= 'Kept meanwhile: '.$value;
                }
            }
            if ([] === $problems && !$isStale) {
                $clinic->sittingMinutes = (int) $typed['minutes'];
                $clinic->routineWeights = array_diff_assoc(
                    array_map(intval(...), array_intersect_key($typed, $defaults)),
                    $defaults,
                );
                $plans->keep($clinic);
                $audit->wrote('set weights of routines', null, $clinic->id);
                $this->addFlash('done', 'Kept. Routines suggested from now on follow it.');

                return $this->redirectToRoute('planning_weights', [], Response::HTTP_SEE_OTHER);
            }
        }

        return $this->render('Planning/weights.html.twig', [
            'typed' => $typed,
            'defaults' => $defaults,
            'problems' => $problems,
            'seen' => $seen,
            'isStale' => $isStale,
        ], new Response(status: match (true) {
            $isStale => Response::HTTP_CONFLICT,
            [] !== $problems => Response::HTTP_UNPROCESSABLE_ENTITY,
            default => Response::HTTP_OK,
        }));
    }
}
