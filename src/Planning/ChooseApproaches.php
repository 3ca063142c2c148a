<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Approach\Approaches;
use HandGarden\Core\Approach\Question;
use HandGarden\Core\Approach\School;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Web\Clock;
use HandGarden\Web\Seen;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * Which school is followed for this client where practitioners disagree: default from measures, or chosen with a
 * note.
 */
#[Route('/clients/{client}/approaches', name: 'planning_approaches', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class ChooseApproaches extends AbstractController
{
    public function __construct(
        private readonly Plan $plan,
        private readonly PlanRepository $plans,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $question = Question::tryFrom((string) $request->request->get('question', ''));
        $school = School::tryFrom((string) $request->request->get('school', ''));
        $note = trim((string) $request->request->get('note', ''));
        $problem = '';
        $status = Response::HTTP_UNPROCESSABLE_ENTITY;
        if ($request->isMethod('POST')) {
            if (null === $question) {
                throw $this->createNotFoundException('No such question.');
            }
            if (Seen::isStale($request, Seen::mark($this->standing($client, $question)->note ?? ''))) {
                $status = Response::HTTP_CONFLICT;
                $problem = 'Somebody else changed this meanwhile; theirs stands above. Choose again to replace it.';
            } elseif (null !== $school && ('' === $note || mb_strlen($note) > 300)) {
                $problem =
                    'Say in a few words why: the note stays beside the default. Nothing was changed yet.';
            } else {
                $before = $this->standing($client, $question);
                if (null !== $before) {
                    $before->withdrawnAt = $this->clock->now();
                }
                $this->plans->keep(
                    ...(
                        null === $school
                            ? []
                            : [
                                new ApproachChoice(
                                    $client->clinicId,
                                    $client->id,
                                    $question,
                                    $school,
                                    note: $note,
                                    byStaffId: $this->who->staff()->id,
                                    at: $this->clock->now(),
                                ),
                            ]
                    ),
                );
                $this->audit->wrote(
                    null === $school ? 'withdrew approach' : 'chose approach',
                    $client->id,
                    $question->value,
                );
                $this->addFlash('done', null === $school ? 'Back to the default.' : 'Kept.');

                return $this->redirectToRoute(
                    'planning_approaches',
                    ['client' => $client->id],
                    Response::HTTP_SEE_OTHER,
                );
            }
        }
        $facts = $this->plan->facts($client);

        return $this->render('Planning/approaches.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'choices' => (
                new Approaches(
                    $facts,
                    new KnownFacts(
                        $facts,
                        $this->catalogue->get()->vocabulary,
                        $this->clock->today($client->zone),
                    ),
                )
            )->all(),
            'schools' => School::cases(),
            'typed' => '' === $problem
                ? null
                : [
                    'question' => $question->value ?? '',
                    'school' => $school->value ?? '',
                    'note' => $note,
                ],
            'problem' => $problem,
        ], new Response(status: '' === $problem ? Response::HTTP_OK : $status));
    }

    private function standing(Client $client, Question $question): ?ApproachChoice
    {
        foreach ($this->plans->approaches($client) as $choice) {
            if ($choice->question === $question) {
                return $choice;
            }
        }

        return null;
    }
}
