<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Account\Who;
use HandGarden\Assessment\KeepTrace;
use HandGarden\Assessment\Preset;
use HandGarden\Assessment\TrialPlan;
use HandGarden\Client\Cautions;
use HandGarden\Client\Client;
use HandGarden\Content\Pictures\SvgWriter;
use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Fault;
use HandGarden\Core\Device\GlovePose;
use HandGarden\Core\Drawing\Painter;
use HandGarden\Core\Drawing\View;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The hand as a device sees it now. */
#[IsGranted('ROLE_THERAPIST')]
final class ShowLive extends AbstractController
{
    private const SILENT_AFTER_MS = 1_500;

    public function __construct(
        private readonly DeviceRepository $devices,
        private readonly FrameStore $frames,
        private readonly LivePages $pages,
        private readonly ProcessorTime $time,
        private readonly Cautions $cautions,
        private readonly Who $who,
        private readonly Clock $clock,
    ) {
    }

    #[Route('/clients/{client}/live', name: 'device_live', methods: ['GET'])]
    public function show(Request $request, Client $client): Response
    {
        $all = $this->devices->for($client->clinicId);
        $plan = TrialPlan::parse((string) $request->query->get('trial', ''));
        $wanted = (string) $request->query->get('device', '');
        $chosen = array_values(
            array_filter(
                $all,
                static fn (Device $d): bool => '' === $wanted
                        ? null === $plan || DeviceKind::Motion === $d->kind
                        : $d->id === $wanted,
            ),
        )[0]
            ?? $all[0]
            ?? null;

        return $this->render('Device/live.html.twig', [
            'client' => $client,
            'banner' => $this->cautions->for($client),
            'presets' => Preset::cases(),
            'devices' => $all,
            'device' => $chosen,
            'plan' => $plan,
            'window' => null === $chosen
                ? []
                : (new Painter())->windowOf(GlovePose::reach(), View::Radial, $chosen->side),
            'actions' => KeepTrace::ACTIONS,
            'digits' => Digit::cases(),
            'side' => $client->affected()[0] ?? $chosen?->side,
        ]);
    }

    /** The newest frame, drawn lightly; asked for about nine times a second, so it does as little as it can. */
    #[Route(
        '/devices/{device}/newest',
        name: 'device_newest',
        defaults: ['_quiet' => true],
        methods: ['GET'],
    )]
    public function newest(Request $request, string $device): Response
    {
        $found = $this->devices->find($this->who->clinicId(), $device)
            ?? throw $this->createNotFoundException('No such device.');
        $kept = $this->frames->newest($found->id, $found->kind);
        $now = (int) $this->clock->now()->format('Uv');
        $age = null === $kept ? null : $now - $kept->receivedMs;
        $isLive = null !== $age && $age < self::SILENT_AFTER_MS;
        $answer = [
            'frame' => $kept?->name,
            'receivedMs' => $kept?->receivedMs,
            'state' => match (true) {
                $isLive => 'live',
                null === $age || $age > FrameStore::KEPT_MS => 'off',
                default => 'silent',
            },
            'says' => match (true) {
                null === $age || $age > FrameStore::KEPT_MS => 'Nothing comes from this device.',
                $isLive => 'Live.',
                default => \sprintf(
                    'Silent for %.0f s. What was captured is kept; the last frame stays.',
                    $age / 1000.0,
                ),
            },
            'values' => $kept?->frame->values,
            'ms' => $kept?->frame->ms,
            'hand' => null,
        ];
        if (null !== $kept && DeviceKind::Glove === $found->kind) {
            $painting = (new Painter())->sketch(
                GlovePose::from($kept->frame->values),
                View::Radial,
                $found->side,
            );
            $answer['hand'] = ['layers' => SvgWriter::layersOf($painting)];
        }
        if ('1' === $request->query->get('faults')) {
            $faults = $this->frames->faults($found->id, $now);
            $answer['faults'] = array_map(
                static fn (string $key, int $n): string => Fault::from($key)->says($n),
                array_keys($faults['faults']),
                $faults['faults'],
            );
            $answer['examples'] = $faults['examples'];
        }
        $page = (string) $request->query->get('page', '');
        $answer['pages'] = $this->pages->opened(
            1 === preg_match('/^[0-9a-z]{4,20}$/', $page) ? $page : 'unnamed',
            $now,
            $this->time->milliseconds(),
        );

        return new JsonResponse($answer, headers: ['Cache-Control' => 'no-store']);
    }
}
