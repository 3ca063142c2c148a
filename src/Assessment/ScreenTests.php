<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\Format\InkFormat;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\Calibration;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Measure\Ink\InvalidInk;
use HandGarden\Core\Measure\Source;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * Drawing, writing and tapping on the screen: what the pointer did is kept as it came, analysed here and drawn
 * again.
 */
#[IsGranted('ROLE_THERAPIST')]
final class ScreenTests extends AbstractController
{
    public function __construct(
        private readonly RecordingRepository $recordings,
        private readonly ReadingRepository $readings,
        private readonly KeepRecording $keepRecording,
        private readonly RecordedFigures $figures,
        private readonly Cautions $cautions,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/screen', name: 'assessment_screen', methods: ['GET'])]
    public function show(Request $request, Client $client): Response
    {
        $task = InkTask::tryFrom((string) $request->query->get('task', '')) ?? InkTask::Spiral;
        $side = Side::tryFrom((string) $request->query->get(
            'side',
            '',
        ))
            ?? $client->affected()[0]
            ?? Side::Right;
        $device = ScreenDevice::from($request);
        $all = $this->recordings->for($client, RecordingKind::Ink);
        $same = array_values(
            array_filter(
                $all,
                static fn (Recording $r): bool => $side === $r->side && self::taskOf($r) === $task,
            ),
        );
        $chosen = array_values(
            array_filter(
                [
                    self::chosen(
                        $same,
                        (string) $request->query->get('before', ''),
                    ),
                    self::chosen(
                        $same,
                        (string) $request->query->get('after', ''),
                    ),
                ],
                static fn (?Recording $r): bool => null !== $r,
            ),
        );
        if ([] === $chosen && [] !== $same) {
            $chosen = 1 === \count($same) ? [$same[0]] : [
                $same[\count($same) - 1],
                $same[0],
            ];
        }

        return $device->mark($this->render('Assessment/screen.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'presets' => Preset::cases(),
            'task' => $task,
            'tasks' => InkTask::cases(),
            'side' => $side,
            'scales' => $this->recordings->scales(
                $client->clinicId,
                $device->name,
            ),
            'cardMm' => Calibration::CARD_MM,
            'same' => $same,
            'chosen' => array_map(
                static fn (Recording $r): string => $r->id,
                $chosen,
            ),
            'chart' => InkCharts::of($task, $chosen),
            'others' => array_values(
                array_filter(
                    $all,
                    static fn (Recording $r): bool => !\in_array(
                        $r,
                        $same,
                        true,
                    ),
                ),
            ),
        ]));
    }

    #[Route('/clients/{client}/screen', name: 'assessment_keep_ink', methods: ['POST'])]
    public function keep(Request $request, Client $client): Response
    {
        $device = ScreenDevice::from($request);
        try {
            $node = Node::fromJson($request->getContent())->only(
                'format',
                'version',
                'task',
                'side',
                'pointer',
                'guide',
                'screen',
                'signature',
                'strokes',
            );
            $node->get('version')->int(1, 1);
            if (InkFormat::INK !== $node->get('format')->string()) {
                throw $node->get('format')->fail('expected '.InkFormat::INK);
            }
            $task = $node->get('task')->enum(InkTask::class);
            $side = $node->get('side')->enum(Side::class);
            $screen = $node->get('screen')->string();
            $scale = $this->recordings->scales($client->clinicId, $device->name)[$screen] ?? null;
            $sheet = InkFormat::sheet($node, $scale);
            $found = InkFormat::analysis(
                $task,
                $sheet,
                $node->optional('guide'),
            );
            $isSignature = $node->optional('signature')?->bool() ?? false;
            $pointer = $node->optional('pointer')?->string() ?? '';
        } catch (InvalidData|InvalidInk $e) {
            return new JsonResponse(
                ['problem' => $e->getMessage()],
                422,
            );
        }
        $today = $this->clock->today($client->zone);
        $now = $this->clock->now();
        $staffId = $this->who->staff()->id;
        $raw = array_filter(
            [
                'format' => InkFormat::INK,
                'version' => 1,
                'task' => $task->value,
                'side' => $side->value,
                'on' => $today->format('Y-m-d'),
                'pointer' => mb_substr($pointer, 0, 20),
                'guide' => $node->optional('guide')?->raw(),
                'pixels_per_mm' => $scale,
                'strokes' => $node->get('strokes')->raw(),
            ],
            static fn (mixed $v): bool => null !== $v,
        );
        $record = new Recording(
            $client->clinicId,
            $client->id,
            RecordingKind::Ink,
            InkTask::Word === $task && $isSignature ? InkTask::SIGNATURE : $task->value,
            side: $side,
            raw: json_encode($raw, \JSON_THROW_ON_ERROR),
            found: $found,
            series: $device->screen($screen),
            onDay: $today,
            at: $now,
            byStaffId: $staffId,
        );
        $readings = $this->figures->ofInk(
            $task,
            $found,
            $side,
            $today,
            taken: Circumstances::typed([])->taken($staffId)->from(Source::Screen),
        );
        $this->keepRecording->keep($client, $record, $readings, 'recorded on the screen');

        return new JsonResponse(
            [
                'id' => $record->id,
                'says' => $found['says'] ?? '',
                'go' => $this->generateUrl(
                    'assessment_screen',
                    [
                        'client' => $client->id,
                        'task' => $task->value,
                        'side' => $side->value,
                    ],
                ),
            ],
        );
    }

    #[Route('/clients/{client}/screen/scale', name: 'assessment_scale', methods: ['POST'])]
    public function calibrate(Request $request, Client $client): Response
    {
        $device = ScreenDevice::from($request);
        $screen = (string) $request->request->get('screen', '');
        try {
            $found = Calibration::ofCard(
                (float) (string) $request->request->get('card', '0'),
                $device->screen($screen),
            );
            if ('' === $screen) {
                throw new InvalidInk('The browser did not say which screen this is.');
            }
            $this->recordings->add(
                new ScreenScale(
                    $client->clinicId,
                    $found->screen,
                    $found->pixelsPerMm,
                    $this->who->staff()->id,
                    at: $this->clock->now(),
                ),
            );
            $this->addFlash(
                'done',
                \sprintf(
                    'Calibrated: %.2f points a millimetre on this screen at this zoom.',
                    $found->pixelsPerMm,
                ),
            );
        } catch (InvalidInk $e) {
            $this->addFlash('problem', $e->getMessage());
        }
        $task = InkTask::tryFrom((string) $request->request->get('task', '')) ?? InkTask::Spiral;

        return $device->mark(
            $this->redirectToRoute(
                'assessment_screen',
                ['client' => $client->id, 'task' => $task->value],
                Response::HTTP_SEE_OTHER,
            ),
        );
    }

    /** The recording as an open file. */
    #[Route('/clients/{client}/recordings/{recording}', name: 'assessment_recording', methods: ['GET'])]
    public function download(Request $request, Client $client, string $recording): Response
    {
        $record = $this->recordings->find($client, $recording)
            ?? throw $this->createNotFoundException('No such recording.');
        $body = $record->raw;
        if (InkTask::SIGNATURE === $record->task && !$request->query->has('with_strokes')) {
            $body = json_encode(
                [
                    'task' => InkTask::SIGNATURE,
                    'on' => $record->onDay->format('Y-m-d'),
                    'found' => $record->found,
                    'strokes' => 'left out: a signature lets somebody in elsewhere',
                ],
                \JSON_THROW_ON_ERROR,
            );
        }
        $this->audit->wrote(
            'read recording',
            $client->id,
            $record->id,
        );

        return new Response(
            $body,
            200,
            [
                'Content-Type' => 'application/json',
                'Content-Disposition' => \sprintf(
                    'attachment; filename="%s-%s.json"',
                    $record->task,
                    $record->onDay->format('Y-m-d'),
                ),
            ],
        );
    }

    #[Route(
        '/clients/{client}/recordings/{recording}/take-back',
        name: 'assessment_withdraw',
        methods: ['POST'],
    )]
    public function withdraw(Client $client, string $recording): Response
    {
        $record = $this->recordings->find($client, $recording)
            ?? throw $this->createNotFoundException('No such recording.');
        $record->withdrawnAt ??= $this->clock->now();
        $this->recordings->add();
        foreach (
            $this->readings->keptAt($client, $record->byStaffId, null, $record->at) as $reading
        ) {
            $reading->withdrawnAt = $this->clock->now();
        }
        $this->readings->save();
        $this->audit->wrote(
            'took back recording',
            $client->id,
            $record->id,
        );
        $this->addFlash('done', 'Taken back: it counts no more, and stays on record.');

        return $this->redirectToRoute(
            RecordingKind::Ink === $record->kind ? 'assessment_screen' : 'assessment_steadiness',
            ['client' => $client->id],
            Response::HTTP_SEE_OTHER,
        );
    }

    private static function taskOf(Recording $record): ?InkTask
    {
        return InkTask::SIGNATURE === $record->task ? InkTask::Word : InkTask::tryFrom($record->task);
    }

    /** @param list<Recording> $same */
    private static function chosen(array $same, string $id): ?Recording
    {
        return array_values(
            array_filter(
                $same,
                static fn (Recording $r): bool => $r->id === $id,
            ),
        )[0] ?? null;
    }
}
