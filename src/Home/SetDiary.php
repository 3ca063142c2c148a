<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Client;
use HandGarden\Core\Diary\AskedOnce;
use HandGarden\Core\Diary\Factor;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A diary is begun, paused, and something that may help is tried. */
#[IsGranted('ROLE_THERAPIST')]
final class SetDiary extends AbstractController
{
    private const TIME = '/^([01]\d|2[0-3]):[0-5]\d$/D';

    public function __construct(
        private readonly Diaries $diaries,
        private readonly DiaryTrials $trials,
        private readonly Who $who,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/diary', name: 'home_set_diary', methods: ['POST'])]
    public function set(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $first = (string) $request->request->get('first', '');
        $second = (string) $request->request->get('second', '');
        if (
            1 !== preg_match(self::TIME, $first)
            || 1 !== preg_match(
                self::TIME,
                $second,
            )
            || $first >= $second
        ) {
            $this->addFlash('problem', 'Give two times of the day, the first before the second.');

            return $this->back($client);
        }
        $diary = $this->diaries->of($client);
        if (null === $diary) {
            $diary = new Diary(
                $client->clinicId,
                $client->id,
                $first,
                $second,
                beganOn: $today,
                byId: $this->who->staff()->id,
            );
        } elseif (!$diary->runsOn($today)) {
            $diary->beganOn = $today;
            $diary->pausedOn = null;
        }
        $diary->firstAt = $first;
        $diary->secondAt = $second;
        $diary->optional = $this->optional($request);
        $diary->asked = $this->asked($request);
        $this->diaries->keep($diary);
        $this->audit->wrote('set diary', $client->id, $diary->id);
        $this->addFlash('done', 'The diary is set.');

        return $this->back($client);
    }

    #[Route('/clients/{client}/diary/pause', name: 'home_pause_diary', methods: ['POST'])]
    public function pause(Client $client): Response
    {
        $diary = $this->diaries->of($client) ?? throw $this->createNotFoundException();
        $diary->pausedOn = $this->clock->today($client->zone);
        $this->diaries->keep($diary);
        $this->audit->wrote('paused diary', $client->id, $diary->id);

        return $this->back($client);
    }

    #[Route('/clients/{client}/diary/trial', name: 'home_try', methods: ['POST'])]
    public function try(Request $request, Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $diary = $this->diaries->of($client) ?? throw $this->createNotFoundException();
        $factor = Factor::tryFrom((string) $request->request->get('factor', ''));
        if (null === $factor || !$factor->hasAdvice() || !$this->trials->mayBegin($client, $diary, $today)) {
            $this->addFlash(
                'problem',
                'This cannot be tried now: one thing at a time, after two weeks of diary.',
            );
        } else {
            $trial = new DiaryTrial(
                $client->clinicId,
                $client->id,
                $factor,
                $today,
                byId: $this->who->staff()->id,
            );
            $diary->beganOn = max($diary->beganOn, $today->modify('-14 days'));
            $this->diaries->keep($trial, $diary);
            $this->audit->wrote('began trial', $client->id, $trial->id);
            $this->addFlash('done', 'It is tried for two weeks.');
        }

        return $this->back($client);
    }

    /** @return list<string> */
    private function optional(Request $request): array
    {
        $chosen = array_filter(
            Factor::optional(),
            static fn (Factor $f): bool => \in_array($f->value, $request->request->all('optional'), true),
        );

        return \array_slice(
            array_values(array_map(static fn (Factor $f): string => $f->value, $chosen)),
            0,
            Factor::MOST_OPTIONAL,
        );
    }

    /** @return array<string, string> */
    private function asked(Request $request): array
    {
        $asked = [];
        foreach (AskedOnce::cases() as $question) {
            $answer = $request->request->all('asked')[$question->value] ?? '';
            if (\in_array($answer, ['yes', 'no'], true)) {
                $asked[$question->value] = $answer;
            }
        }

        return $asked;
    }

    private function back(Client $client): Response
    {
        return $this->redirectToRoute(
            'home_diary_side',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }
}
