<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Account\Audit;
use HandGarden\Assessment\RecordingRepository;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Content\Format\CalendarFormat;
use HandGarden\Content\Format\CalendarReading;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Week\Block;
use HandGarden\Core\Week\HelperHours;
use HandGarden\Core\Week\InvalidWeek;
use HandGarden\Core\Week\SampleState;
use HandGarden\Core\Week\WeekInput;
use HandGarden\Web\Clock;
use HandGarden\Web\OneAtATime;
use HandGarden\Web\Seen;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The week of one client: when, what, with what, and what did not fit. */
#[IsGranted('ROLE_STAFF')]
final class ShowWeek extends AbstractController
{
    private const WEEKS_BACK = 4;
    private const WEEKS_AHEAD = 54;

    public function __construct(
        private readonly PlanWeek $week,
        private readonly CalendarReading $reading,
        private readonly OneAtATime $oneAtATime,
        private readonly PlanRepository $plans,
        private readonly RecordingRepository $recordings,
        private readonly CatalogueStore $catalogue,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    #[Route('/clients/{client}/week', name: 'planning_week', methods: ['GET'])]
    public function show(Request $request, Client $client): Response
    {
        return $this->page($client, (string) $request->query->get('of', ''), null, '');
    }

    #[Route('/clients/{client}/week', name: 'planning_week_times', methods: ['POST'])]
    #[IsGranted('ROLE_THERAPIST')]
    public function times(Request $request, Client $client): Response
    {
        $hours = mb_substr(trim((string) $request->request->get('helper_hours', '')), 0, 300);
        $of = (string) $request->request->get('of', '');
        $file = $request->files->get('calendar');
        $kept = $this->plans->weekTimes($client);
        if (Seen::isStale($request, WeekTimes::mark($kept))) {
            return $this->page(
                $client,
                $of,
                $hours,
                \sprintf(
                    'Somebody else kept other times while you were typing: ‘%s’. Keep yours again to replace them%s.',
                    $kept->helperHours ?? '',
                    $file instanceof UploadedFile ? ', and choose the calendar file once more' : '',
                ),
                status: Response::HTTP_CONFLICT,
            );
        }
        $times = $kept ?? new WeekTimes($client->clinicId, $client->id);
        $sittings = $request->request->getInt('sittings', $times->sittingsPerDay);
        try {
            HelperHours::parse($hours);
            if ($sittings < 1 || $sittings > WeekInput::MOST_SITTINGS) {
                throw InvalidWeek::because(
                    'sittings',
                    ['sittings' => $sittings, 'most' => WeekInput::MOST_SITTINGS],
                );
            }
            if ($request->request->has('forget')) {
                $times->forget();
            }
            if ($file instanceof UploadedFile) {
                $this->read($file, $times, $client);
            }
        } catch (InvalidWeek $e) {
            return $this->page($client, $of, $hours, $this->wording->say($e->why));
        } catch (InvalidData $e) {
            return $this->page($client, $of, $hours, 'The calendar '.$e->problem.'.');
        }
        $times->helperHours = $hours;
        $times->sittingsPerDay = $sittings;
        $this->plans->keep($times);
        $this->audit->wrote('changed week', $client->id);
        $this->addFlash('done', 'Kept.');

        return $this->redirectToRoute(
            'planning_week',
            ['client' => $client->id, 'of' => $of],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/clients/{client}/week.ics', name: 'planning_week_calendar', methods: ['GET'])]
    public function calendar(Request $request, Client $client): Response
    {
        $week = $this->week->for(
            $client,
            $this->week->monday($client, (string) $request->query->get('of', '')),
        );

        return new Response(
            CalendarFormat::week(
                $week,
                $client->id,
                new \DateTimeZone($client->zone),
                $this->clock->now(),
            ),
            200,
            [
                'Content-Type' => 'text/calendar; charset=utf-8',
                'Content-Disposition' => 'attachment; filename="week.ics"',
            ],
        );
    }

    /** @throws InvalidData */
    private function read(UploadedFile $file, WeekTimes $times, Client $client): void
    {
        if (!$file->isValid()) {
            throw InvalidData::at('calendar', 'did not arrive whole; at most 500 kB');
        }
        if (!$this->oneAtATime->begin('calendar')) {
            throw InvalidData::at(
                'calendar',
                'waits: another one is being read. Send it once more in a moment',
            );
        }
        $monday = $this->week->monday($client, '');
        $to = $monday->modify('+'.self::WEEKS_AHEAD.' weeks');
        $times->read(
            mb_substr(mb_scrub($file->getClientOriginalName()), 0, 120),
            $this->reading->busy(
                $file->getContent(),
                $monday->modify('-'.self::WEEKS_BACK.' weeks'),
                $to,
                new \DateTimeZone($client->zone),
            ),
            $to,
        );
    }

    /**
     * @return array{kept: PlanBlock, block: Block, day: int, before: SampleState, after: SampleState}|null null:
     *     nobody has begun one
     */
    private function block(Client $client): ?array
    {
        $kept = $this->plans->block($client);
        if (null === $kept) {
            return null;
        }
        $today = $this->clock->today($client->zone);
        $taken = $this->recordings->daysOf($client, $kept->sample);

        return [
            'kept' => $kept,
            'block' => $kept->block(),
            'day' => $kept->block()->dayOf($today),
            'before' => $kept->block()->before($taken, $today),
            'after' => $kept->block()->after($taken, $today),
        ];
    }

    private function page(
        Client $client,
        string $of,
        ?string $typed,
        string $problem,
        int $status = Response::HTTP_UNPROCESSABLE_ENTITY,
    ): Response {
        $monday = $this->week->monday($client, $of);
        $week = $this->week->for($client, $monday);
        $times = $this->plans->weekTimes($client);
        $handbook = $this->catalogue->get()->handbook();

        return $this->render('Planning/week.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'week' => $week,
            'waits' => $this->week->waits($client),
            'monday' => $monday,
            'times' => $times,
            'block' => $this->block($client),
            'samples' => InkTask::cases(),
            'seen' => WeekTimes::mark($times),
            'typed' => $typed ?? $times->helperHours ?? '',
            'problem' => $problem,
            'materials' => array_map(
                static fn (string $key): array => [
                    'label' => $handbook->material($key)->label ?? $key,
                    'instead' => $handbook->material($key)->instead ?? [],
                ],
                $week->materials(),
            ),
        ], new Response(status: '' === $problem ? Response::HTTP_OK : $status));
    }
}
