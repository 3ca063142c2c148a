<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Core\Diary\AskedOnce;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Trial;
use HandGarden\Core\Diary\Triggers;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** A diary as a therapist reads it: what goes with worse days, what is tried, and what it came to. */
#[Route('/clients/{client}/diary', name: 'home_diary_side', methods: ['GET'])]
#[IsGranted('ROLE_THERAPIST')]
final class ShowDiary extends AbstractController
{
    private const SHOWN = 40;

    public function __construct(
        private readonly Diaries $diaries,
        private readonly DiaryTrials $trials,
        private readonly Cautions $cautions,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $diary = $this->diaries->of($client);
        $entries = $this->diaries->entries($client);
        $trials = $this->diaries->trials($client);

        return $this->render('Home/diary_side.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'diary' => $diary,
            'runs' => $diary?->runsOn($today) ?? false,
            'optional' => Factor::optional(),
            'questions' => AskedOnce::cases(),
            'entries' => \array_slice(array_reverse($entries), 0, self::SHOWN),
            'inAll' => \count($entries),
            'nowDays' => $this->diaries->nowEntriesADay($entries),
            'triggers' => null === $diary ? null : Triggers::in(
                Diaries::compared($entries),
                $diary->factors(),
                crc32($client->id),
            ),
            'trials' => array_map(fn (DiaryTrial $t): array => [
                'trial' => $t,
                'verdict' => $t->lastDay() < $today || null !== $t->endedAt
                    ? $this->trials->judge($client, $t, $entries, \count($trials))
                    : null,
            ], $trials),
            'mayTry' => null !== $diary && $this->trials->mayBegin($client, $diary, $today),
            'trialDays' => Trial::DAYS,
            'minutes' => $this->trials->breakMinutes($entries),
        ]);
    }
}
