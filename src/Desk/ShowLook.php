<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Assessment\MeasuredChanges;
use HandGarden\Assessment\ReadingRepository;
use HandGarden\Client\Client;
use HandGarden\Client\KeptOfClient;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Following\DueList;
use HandGarden\Following\Looks;
use HandGarden\Following\Periods;
use HandGarden\Following\Timeline;
use HandGarden\Following\WorkCharts;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\DayFigures;
use HandGarden\Sitting\LoggedTrend;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Twig\Markup;

/** One client in four minutes: what was done, what moved, how it felt, what waits, and a word. */
#[Route('/clients/{client}/look', name: 'desk_look', methods: ['GET'])]
#[IsGranted('ROLE_STAFF')]
final class ShowLook extends AbstractController
{
    private const MARKS = 14;
    private const PAIN_DAYS = 28;
    private const MEASURED_DAYS = 84;

    public function __construct(
        private readonly ClientCards $cards,
        private readonly KeptOfClient $kept,
        private readonly FocusItems $focus,
        private readonly LoggedTrend $trend,
        private readonly SittingRepository $sittings,
        private readonly ReadingRepository $readings,
        private readonly MeasuredChanges $changes,
        private readonly PlanRepository $plans,
        private readonly Alerts $alerts,
        private readonly Periods $periods,
        private readonly DueList $due,
        private readonly Looks $looks,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Client $client): Response
    {
        $today = $this->clock->today($client->zone);
        $card = $this->cards->for($client);
        $block = $this->plans->block($client);

        return $this->render('Desk/look.html.twig', [
            'client' => $client,
            'card' => $card,
            'banner' => $card->banner,
            'block' => $block,
            'blockDay' => $block?->block()->dayOf($today),
            'alerts' => $this->alerts->open($client),
            'shown' => $this->kept->get(
                'look',
                $client,
                fn (): Markup => $this->drawn(
                    $client,
                    $card,
                    $today,
                ),
            ),
            'looks' => $this->looks->of($client, 5),
            'today' => $today,
        ]);
    }

    /** Kept while nothing of the client changes: it reads weeks of log. */
    private function drawn(Client $client, ClientCard $card, \DateTimeImmutable $today): Markup
    {
        $from = $today->modify('-'.(self::PAIN_DAYS - 1).' days');
        $days = $this->trend->days($client, $from);
        $time = new Timeline(
            $from,
            $today,
            $this->periods->of(
                $client,
                $days,
                $from,
                $today,
            ),
            Timeline::NARROW,
        );

        return new Markup($this->renderView('Desk/_look.html.twig', [
            'client' => $client,
            'card' => $card,
            'marks' => $this->marks($days, $today),
            'focus' => $this->focus->of($client, $card),
            'pain' => (new WorkCharts($time))->pain($days),
            'tighter' => $this->tighter($client, $today),
            'measured' => $this->changes->since(
                $client,
                $today->modify('-'.self::MEASURED_DAYS.' days'),
                1,
            )[0] ?? null,
            'due' => $this->due->of(
                $client,
                $today,
                $this->readings->lastDay($client),
            ),
            'visit' => $this->looks->nextVisit($client, $today),
        ]), 'UTF-8');
    }

    /**
     * @param list<DayFigures> $days
     *
     * @return list<array{day: \DateTimeImmutable, of: ?DayFigures}> oldest first
     */
    private function marks(array $days, \DateTimeImmutable $today): array
    {
        $byDay = [];
        foreach ($days as $day) {
            $byDay[$day->day->format('Y-m-d')] = $day;
        }
        $marks = [];
        for ($ago = self::MARKS - 1; $ago >= 0; --$ago) {
            $day = $today->modify('-'.$ago.' days');
            $marks[] = [
                'day' => $day,
                'of' => $byDay[$day->format('Y-m-d')] ?? null,
            ];
        }

        return $marks;
    }

    /** @return array{int, int} how often tone was tighter afterwards, of how often it was told */
    private function tighter(Client $client, \DateTimeImmutable $today): array
    {
        $told = array_filter(
            SittingLog::since(
                $this->sittings->log($client)->lines,
                $today->modify('-'.(self::MARKS - 1).' days'),
            ),
            static fn (LogLine $l): bool => null !== $l->tone,
        );

        return [
            \count(
                array_filter(
                    $told,
                    static fn (LogLine $l): bool => ToneAfter::Tighter === $l->tone,
                ),
            ),
            \count($told),
        ];
    }
}
