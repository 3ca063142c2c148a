<?php

declare(strict_types=1);

namespace HandGarden\Client;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Screening\Answer;
use HandGarden\Core\Screening\Question;
use HandGarden\Core\Screening\Screening;
use HandGarden\Web\Clock;
use HandGarden\Web\Seen;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Asks the screening questions; an unanswered one blocks what a yes would block. */
#[Route('/clients/{client}/screening', name: 'client_screening', methods: ['GET', 'POST'])]
#[IsGranted('ROLE_THERAPIST')]
final class AnswerScreening extends AbstractController
{
    public function __construct(
        private readonly ClientRepository $clients,
        private readonly CatalogueStore $catalogue,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
        private readonly Cautions $cautions,
        private readonly EventDispatcherInterface $events,
    ) {
    }

    public function __invoke(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $screening = $this->cautions->screening($client);
        $seen = $this->mark($screening, $today);
        $isStale = $request->isMethod('POST') && Seen::isStale($request, $seen);
        if ($request->isMethod('POST')) {
            $answers = $this->answered($request, $client, $screening, $isStale);
            $this->clients->addAnswers($answers);
            if ($this->hasNewTrouble($answers, $screening, $today)) {
                $this->events->dispatch(new TroubleBegan($client));
            }
            $this->audit->wrote('answered screening', $client->id);
            if (!$isStale) {
                $this->addFlash('done', \sprintf('%d answers kept.', \count($answers)));

                return $this->redirectToRoute(
                    'desk_client',
                    ['client' => $client->id],
                    Response::HTTP_SEE_OTHER,
                );
            }
            $this->cautions->reset();
            $screening = $this->cautions->screening($client);
            $seen = $this->mark($screening, $today);
        }

        return $this->render('Client/screening.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'questions' => $this->catalogue->get()->screening->questions,
            'screening' => $screening,
            'typed' => $isStale ? $this->typed($request) : [],
            'seen' => $seen,
            'today' => $today,
            'setUp' => $this->catalogue->get()->screening->setUpCheck,
        ], new Response(status: $isStale ? Response::HTTP_CONFLICT : Response::HTTP_OK));
    }

    /**
     * What stands as it was keeps its date, unless it was asked again. Where somebody else has answered meanwhile only
     * a yes is taken at once: it can but forbid.
     *
     * @return list<ScreeningAnswer>
     */
    private function answered(Request $request, Client $client, Screening $before, bool $onlyYes): array
    {
        $today = $this->clock->today($client->zone);
        $answers = [];
        foreach ($this->catalogue->get()->screening->questions as $question) {
            $answer = Answer::tryFrom($request->request->getString($question->id));
            $isNew = $answer !== $before->answer($question->id, $today)
                || ($request->request->has('asked_again') && !$onlyYes);
            if (
                null === $answer
                || Answer::NotAsked === $answer
                || !$isNew
                || (
                    $onlyYes
                    && Answer::Yes !== $answer
                )
            ) {
                continue;
            }
            $answers[] = new ScreeningAnswer(
                $client->clinicId,
                $client->id,
                $question->id,
                $answer,
                askedOn: $today,
                byStaffId: $this->who->staff()->id,
                at: $this->clock->now(),
            );
        }

        return $answers;
    }

    /** @param list<ScreeningAnswer> $answers */
    private function hasNewTrouble(array $answers, Screening $before, \DateTimeImmutable $today): bool
    {
        $new = [];
        foreach ($answers as $answer) {
            $new[$answer->questionId] = Answer::Yes === $answer->answer
                && Answer::Yes !== $before->answer($answer->questionId, $today);
        }

        return [] !== array_filter(
            $this->catalogue->get()->screening->questions,
            static fn (Question $q): bool => $q->endsHelping && ($new[$q->id] ?? false),
        );
    }

    private function mark(Screening $screening, \DateTimeImmutable $today): string
    {
        $shown = [];
        foreach ($this->catalogue->get()->screening->questions as $question) {
            $shown[] = $question->id.' '.$screening->answer($question->id, $today)->value;
        }

        return Seen::mark(...$shown);
    }

    /** @return array<string, string> answer by question */
    private function typed(Request $request): array
    {
        $typed = [];
        foreach ($this->catalogue->get()->screening->questions as $question) {
            $typed[$question->id] = $request->request->getString($question->id);
        }

        return $typed;
    }
}
