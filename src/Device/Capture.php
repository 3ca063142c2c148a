<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Account\Who;
use HandGarden\Assessment\Drafts;
use HandGarden\Assessment\KeepTrace;
use HandGarden\Assessment\ReadingKey;
use HandGarden\Assessment\TrialPlan;
use HandGarden\Client\Client;
use HandGarden\Content\Format\TraceFormat;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Frame;
use HandGarden\Core\Device\GlovePose;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/**
 * Freezes a frame that was shown, by its name: what the eye saw is what is taken, whatever the device does meanwhile.
 * Captured values go into the draft of the measuring page, where they are seen, undone or kept like typed ones.
 */
#[IsGranted('ROLE_THERAPIST')]
#[Route('/clients/{client}/live/{device}', methods: ['POST'])]
final class Capture extends AbstractController
{
    private const GONE = 'That moment is no longer kept: nothing was captured. Capture again.';
    private const PINCHES = ['tip', 'key', 'three-point'];

    public function __construct(
        private readonly DeviceRepository $devices,
        private readonly FrameStore $frames,
        private readonly Drafts $drafts,
        private readonly KeepTrace $keepTrace,
        private readonly Who $who,
        private readonly Clock $clock,
        private readonly Wording $wording,
    ) {
    }

    /** A hand frozen at the end of a movement, or the force of a squeeze. */
    #[Route('/capture', name: 'device_capture')]
    public function capture(Request $request, Client $client, string $device): Response
    {
        $found = $this->device($device);
        $asked = (string) $request->request->get('what', '');
        $kept = $this->frames->find(
            $found->id,
            $found->kind,
            (string) $request->request->get('frame', ''),
        );
        if (null === $kept) {
            return new JsonResponse(['problem' => self::GONE], 409);
        }
        if (DeviceKind::Gauge === $found->kind) {
            $from = (string) $request->request->get('from', '');
            $pull = '' === $from
                ? [$kept->frame]
                : $this->frames->since($found->id, $found->kind, $from, FrameStore::KEPT_MS);
            $best = round(
                max(
                    array_map(
                        static fn (Frame $f): float => $f->values['kg'],
                        [] === $pull ? [$kept->frame] : $pull,
                    ),
                ),
                1,
            );
            $key = \in_array($asked, self::PINCHES, true)
                ? ReadingKey::for('pinch_kg', $this->side($request, $found), null, $asked)
                : ReadingKey::for('grip_kg', $this->side($request, $found), null, null);
            $text = $this->add($client, $key, (string) $best, Source::Gauge);

            return new JsonResponse(
                [
                    'says' => \sprintf('%s kg captured; so far: %s', $best, $text),
                    'frame' => $kept->name,
                ],
            );
        }
        if (DeviceKind::Glove !== $found->kind) {
            return new JsonResponse(['problem' => 'This device is recorded, not frozen.'], 422);
        }
        $mode = Mode::tryFrom((string) $request->request->get('mode', '')) ?? Mode::Active;
        $values = [];
        foreach (
            GlovePose::readings(
                $kept->frame->values,
                $found->side,
                $mode,
                'bent' === $asked,
                day: $this->clock->today($client->zone),
            ) as $reading
        ) {
            $values[
                ReadingKey::for($reading->code, $reading->side, $reading->mode, null)
            ] = \is_float($reading->value)
                ? (string) $reading->value
                : '';
        }
        $this->put($client, $values, Source::Glove);

        return new JsonResponse(
            [
                'says' => \sprintf(
                    '%d joints captured, %s, %s: they stand in the draft.',
                    \count($values),
                    'bent' === $asked ? 'bent' : 'straight',
                    $mode->value,
                ),
                'frame' => $kept->name,
                'values' => $kept->frame->values,
            ],
        );
    }

    /** One finger asked to move: from a frame to a frame, how far did the others go along? */
    #[Route('/independence', name: 'device_independence')]
    public function independence(Request $request, Client $client, string $device): Response
    {
        $found = $this->device($device);
        $asked = Digit::tryFrom((string) $request->request->get('what', ''));
        $frames = DeviceKind::Glove === $found->kind
            ? $this->frames->since(
                $found->id,
                $found->kind,
                (string) $request->request->get('from', ''),
                FrameStore::KEPT_MS,
            )
            : [];
        if (null === $asked || [] === $frames) {
            return new JsonResponse(['problem' => self::GONE], 409);
        }
        $values = array_map(static fn (Frame $f): array => $f->values, $frames);
        $independence = GlovePose::independence($values, $asked);
        $index = $independence->index[$asked->value] ?? null;
        if (null === $index) {
            return new JsonResponse(
                [
                    'problem' => $this->wording->sentence(new Phrase('independence.of_finger', [
                        'finger' => $asked->value,
                        'why' => $independence->why[$asked->value] ?? new Phrase(Independence::NOT_MEASURED),
                    ])),
                ],
                422,
            );
        }
        $this->put(
            $client,
            [
                ReadingKey::for(
                    'individuation_idx',
                    $found->side,
                    null,
                    $asked->value,
                ) => (string) round($index, 2),
            ],
            Source::Glove,
        );
        $moved = array_map(
            static fn (float $d, string $digit): string => \sprintf('%s %.0f°', $digit, $d),
            GlovePose::moved($values),
            array_keys(GlovePose::moved($values)),
        );

        return new JsonResponse(
            [
                'says' => \sprintf(
                    '%s: index of independence %.2f (%s).',
                    ucfirst($asked->value),
                    $index,
                    implode(', ', $moved),
                ),
            ],
        );
    }

    /** A stretch of a motion sensor, kept as a trace; what did not come is a gap and said. */
    #[Route('/record', name: 'device_record')]
    public function record(Request $request, Client $client, string $device): Response
    {
        $found = $this->device($device);
        $seconds = max(1, min(120, $request->request->getInt('seconds', 30)));
        $action = (string) $request->request->get('action', '');
        $frames = DeviceKind::Motion === $found->kind
            ? $this->frames->since(
                $found->id,
                $found->kind,
                (string) $request->request->get('from', ''),
                1000.0 * $seconds,
            )
            : [];
        if ([] === $frames) {
            return new JsonResponse(['problem' => self::GONE], 409);
        }
        $start = $frames[0]->ms;
        $trace = [
            'format' => TraceFormat::TRACE,
            'version' => 1,
            'side' => $found->side->value,
            'rate_hz' => $found->kind->rateHz(),
            'samples' => array_map(
                static fn (Frame $f): array => [
                    round($f->ms - $start, 2),
                    $f->values['x'],
                    $f->values['y'],
                    $f->values['z'],
                ],
                $frames,
            ),
        ];
        $plan = TrialPlan::parse((string) $request->request->get('trial', ''));
        try {
            $record = $this->keepTrace->keep(
                $client,
                Node::root($trace),
                $this->side($request, $found),
                isset(KeepTrace::ACTIONS[$action]) ? $action : 'posture',
                plan: $plan,
            );
        } catch (InvalidData $e) {
            return new JsonResponse(['problem' => $e->getMessage()], 422);
        }
        $says = $record->found['says'] ?? '';

        return new JsonResponse(
            [
                'says' => \sprintf(
                    '%.1f of %d s came. %s',
                    \count($frames) / $found->kind->rateHz(),
                    $seconds,
                    \is_string($says) ? $says : '',
                ),
                'go' => $this->generateUrl(
                    'assessment_steadiness',
                    [
                        'client' => $client->id,
                        ...(null === $plan ? ['show' => $record->id] : ['trial' => $plan->name()]),
                    ],
                ),
            ],
        );
    }

    private function device(string $id): Device
    {
        return $this->devices->find($this->who->clinicId(), $id)
            ?? throw $this->createNotFoundException('No such device.');
    }

    private function side(Request $request, Device $device): Side
    {
        return Side::tryFrom((string) $request->request->get('side', '')) ?? $device->side;
    }

    /** @param array<string, string> $values by field */
    private function put(Client $client, array $values, Source $source): void
    {
        $this->change($client, static fn (): array => $values, $source);
    }

    /** Another trial beside those that stand there. */
    private function add(Client $client, string $key, string $value, Source $source): string
    {
        $typed = $this->change(
            $client,
            static fn (array $measures): array => [$key => trim(($measures[$key] ?? '').' '.$value)],
            $source,
        );

        return $typed['m'][$key] ?? '';
    }

    /**
     * @param \Closure(array<string, string>): array<string, string> $values fields to write, told the measures
     *     of the draft
     *
     * @return array<string, array<string, string>>
     */
    private function change(Client $client, \Closure $values, Source $source): array
    {
        $now = $this->clock->now();

        return $this->drafts
            ->change(
                $client,
                $this->who->staff()->id,
                static function (array $typed) use ($values, $source, $now): array {
                    foreach ($values($typed['m'] ?? []) as $key => $text) {
                        $typed['m'][$key] = $text;
                        $typed[Drafts::SOURCES][$key] = \sprintf(
                            '%s:%s@%s',
                            $source->value,
                            $text,
                            $now->format('Uv'),
                        );
                    }

                    return $typed;
                },
                null,
                now: $now,
            );
    }
}
