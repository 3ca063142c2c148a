<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Assessment\Chart\SpectrumPlot;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\Format\TraceFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Steadiness\SetUp;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\SteadyingTrial;
use HandGarden\Core\Measure\Taken;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** How the hand shakes, and what steadies it. */
#[IsGranted('ROLE_THERAPIST')]
final class ShowSteadiness extends AbstractController
{
    public function __construct(
        private readonly RecordingRepository $recordings,
        private readonly ReadingRepository $readings,
        private readonly KeepTrace $keepTrace,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/steadiness', name: 'assessment_steadiness', methods: ['GET'])]
    public function show(Request $request, Client $client): Response
    {
        $all = $this->recordings->for($client, RecordingKind::Trace);
        $plan = TrialPlan::parse((string) $request->query->get('trial', ''));
        $single = array_values(
            array_filter($all, static fn (Recording $r): bool => '' === $r->series),
        );
        $shown = array_values(
            array_filter(
                $single,
                static fn (Recording $r): bool => $r->id === $request->query->get('show'),
            ),
        )[0]
            ?? $single[0]
            ?? null;
        $series = null === $plan ? [] : $this->recordings->series($client, $plan->name());
        $trials = array_values(
            array_unique(
                array_map(
                    static fn (Recording $r): string => $r->series,
                    array_filter($all, static fn (Recording $r): bool => '' !== $r->series),
                ),
            ),
        );

        return $this->render('Assessment/steadiness.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'presets' => Preset::cases(),
            'actions' => KeepTrace::ACTIONS,
            'setUps' => array_values(
                array_filter(SetUp::cases(), static fn (SetUp $s): bool => SetUp::Unsupported !== $s),
            ),
            'side' => $client->affected()[0] ?? Side::Right,
            'single' => $single,
            'shown' => $shown,
            'chart' => null === $shown
                ? null
                : SpectrumPlot::from(
                    Steadiness::from(TraceFormat::trace(Node::fromJson($shown->raw))),
                    \sprintf(
                        '%s, %s hand, %s',
                        KeepTrace::ACTIONS[$shown->task] ?? $shown->task,
                        $shown->side->value,
                        $shown->onDay->format('j M Y'),
                    ),
                ),
            'plan' => $plan,
            'order' => $plan?->order() ?? [],
            'series' => $series,
            'found' => null === $plan || [] === $series ? null : self::compare($series),
            'trials' => $trials,
        ]);
    }

    #[Route('/clients/{client}/steadiness/trace', name: 'assessment_keep_trace', methods: ['POST'])]
    public function keep(Request $request, Client $client): Response
    {
        $plan = TrialPlan::parse((string) $request->request->get('trial', ''));
        $file = $request->files->get('file');
        $action = (string) $request->request->get('action', '');
        $action = isset(KeepTrace::ACTIONS[$action]) ? $action : 'posture';
        try {
            if (!$file instanceof UploadedFile || !$file->isValid()) {
                throw InvalidData::at('file', 'choose a recording: a JSON file of at most 2 MB');
            }
            $record = $this->keepTrace->keep(
                $client,
                Node::fromJson($file->getContent()),
                Side::tryFrom((string) $request->request->get('side', '')) ?? Side::Right,
                $action,
                plan: $plan,
            );
            $this->addFlash(
                'done',
                \is_string($record->found['says'] ?? null) ? $record->found['says'] : 'Kept.',
            );
        } catch (InvalidData $e) {
            $this->addFlash('problem', $e->getMessage().' Nothing was kept.');
        }

        return $this->redirectToRoute(
            'assessment_steadiness',
            ['client' => $client->id, ...(null === $plan ? [] : ['trial' => $plan->name()])],
            Response::HTTP_SEE_OTHER,
        );
    }

    #[Route('/clients/{client}/steadiness/trial', name: 'assessment_plan_trial', methods: ['POST'])]
    public function plan(Request $request, Client $client): Response
    {
        $chosen = $request->request->all()['set_ups'] ?? [];
        $setUps = array_values(
            array_filter(
                array_map(
                    static fn (mixed $s): ?SetUp => \is_string($s) ? SetUp::tryFrom($s) : null,
                    \is_array($chosen) ? $chosen : [],
                ),
                static fn (?SetUp $s): bool => null !== $s,
            ),
        );
        $plan = TrialPlan::from(
            random_int(1, 999_999_999),
            $request->request->getInt('trials', 3),
            $setUps,
        );
        if (null === $plan) {
            $this->addFlash(
                'problem',
                \sprintf(
                    'Choose at least one set-up beside the unsupported one, and %d to %d trials each.',
                    SteadyingTrial::FEWEST_TRIALS,
                    TrialPlan::MOST_TRIALS,
                ),
            );
        }

        return $this->redirectToRoute(
            'assessment_steadiness',
            ['client' => $client->id, ...(null === $plan ? [] : ['trial' => $plan->name()])],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** The outcome becomes known facts: which set-up steadies this hand, and which does not. */
    #[Route('/clients/{client}/steadiness/outcome', name: 'assessment_keep_outcome', methods: ['POST'])]
    public function outcome(Request $request, Client $client): Response
    {
        $plan = TrialPlan::parse((string) $request->request->get('trial', ''));
        $series = null === $plan ? [] : $this->recordings->series($client, $plan->name());
        $found = [] === $series ? null : self::compare($series);
        if (null === $plan || null === $found || '' !== $found->why) {
            $this->addFlash('problem', $found->why ?? 'Nothing was recorded for this trial yet.');

            return $this->redirectToRoute(
                'assessment_steadiness',
                ['client' => $client->id, ...(null === $plan ? [] : ['trial' => $plan->name()])],
                Response::HTTP_SEE_OTHER,
            );
        }
        $today = $this->clock->today($client->zone);
        $now = $this->clock->now();
        $staffId = $this->who->staff()->id;
        $visit = $this->readings->visit($client, $today, $staffId, $now);
        $readings = [];
        foreach ($found->results as $result) {
            $readings[] = RecordedReading::from(
                new Reading(
                    'steady_gain',
                    $series[0]->side,
                    null,
                    $result->setUp->value,
                    value: $result->isBetter(),
                    on: $today,
                    byEye: false,
                    taken: new Taken($staffId, source: Source::MotionSensor),
                ),
                $visit,
                $staffId,
                $now,
            );
        }
        $this->readings->add($readings);
        $this->audit->wrote('kept a steadying trial', $client->id, $series[0]->id);
        $winner = $found->winner();
        $this->addFlash(
            'done',
            null === $winner
                ? 'Kept: no clear difference.'
                : \sprintf('Kept. On daily tasks: %s', $winner->instruction()),
        );

        return $this->redirectToRoute(
            'assessment_steadiness',
            ['client' => $client->id, 'trial' => $plan->name()],
            Response::HTTP_SEE_OTHER,
        );
    }

    /** @param non-empty-list<Recording> $series */
    private static function compare(array $series): SteadyingTrial
    {
        $traces = [];
        foreach ($series as $record) {
            $traces[$record->task][] = TraceFormat::trace(Node::fromJson($record->raw));
        }

        return SteadyingTrial::ofTraces($traces);
    }
}
