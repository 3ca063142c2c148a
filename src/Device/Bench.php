<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Account\Audit;
use HandGarden\Account\Who;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Device\Simulated\Profile;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The devices of the clinic; simulated ones are started and stopped here. */
#[IsGranted('ROLE_THERAPIST')]
final class Bench extends AbstractController
{
    public function __construct(
        private readonly DeviceRepository $devices,
        private readonly FrameStore $frames,
        private readonly Refusals $refusals,
        private readonly Audit $audit,
        private readonly Who $who,
        private readonly Clock $clock,
        #[Autowire('%env(bool:HG_BENCH)%')]
        private readonly bool $hasSupervisor,
    ) {
    }

    #[Route('/devices', name: 'device_bench', methods: ['GET', 'POST'])]
    public function show(Request $request): Response
    {
        $problem = '';
        if ($request->isMethod('POST')) {
            $name = trim((string) $request->request->get('name', ''));
            $kind = DeviceKind::tryFrom((string) $request->request->get('kind', ''));
            $side = Side::tryFrom((string) $request->request->get('side', ''));
            if ('' === $name || mb_strlen($name) > 60 || null === $kind || null === $side) {
                $problem = 'A device needs a name of at most 60 letters, a kind and a hand.';
            } else {
                [$device, $shown] = Device::register(
                    $this->who->clinicId(),
                    $name,
                    $kind,
                    $side,
                    simulated: $request->request->has('simulated'),
                    now: $this->clock->now(),
                );
                $this->devices->add($device);
                $this->audit->wrote('added device', null, $device->id);
                if (!$device->isSimulated()) {
                    $this->addFlash('device_token', $shown); // gone once it was shown
                }

                return $this->redirectToRoute('device_bench', [], Response::HTTP_SEE_OTHER);
            }
        }
        $now = (int) $this->clock->now()->format('Uv');
        $rows = [];
        foreach ($this->devices->for($this->who->clinicId()) as $device) {
            $newest = $this->frames->newest($device->id, $device->kind);
            $rows[] = [
                'device' => $device,
                'ageMs' => null === $newest ? null : $now - $newest->receivedMs,
                'profiles' => Profile::named($device->kind),
                ...$this->frames->faults($device->id, $now),
            ];
        }

        return $this->render('Device/bench.html.twig', [
            'rows' => $rows,
            'kinds' => DeviceKind::cases(),
            'problem' => $problem,
            'refused' => $this->refusals->count(),
            'hasSupervisor' => $this->hasSupervisor,
        ], new Response(status: '' === $problem ? 200 : 422));
    }

    #[Route('/devices/{device}/run', name: 'device_run', methods: ['POST'])]
    public function run(Request $request, string $device): Response
    {
        $found = $this->devices->find($this->who->clinicId(), $device)
            ?? throw $this->createNotFoundException('No such device.');
        if ($found->isSimulated()) {
            $profile = Profile::tryFrom((string) $request->request->get('profile', ''));
            $found->profile = null !== $profile
                && \in_array($profile, Profile::named($found->kind), true)
                ? $profile->value
                : $found->profile;
            $found->wanted = '1' === $request->request->get('wanted');
            $this->devices->save();
            $this->audit->wrote(
                $found->wanted ? 'started device' : 'stopped device',
                null,
                $found->id,
            );
        }

        return $this->redirectToRoute('device_bench', [], Response::HTTP_SEE_OTHER);
    }

    #[Route('/devices/{device}/retire', name: 'device_retire', methods: ['POST'])]
    public function retire(string $device): Response
    {
        $found = $this->devices->find($this->who->clinicId(), $device)
            ?? throw $this->createNotFoundException('No such device.');
        $found->retiredAt = $this->clock->now();
        $found->wanted = false;
        $this->devices->save();
        $this->audit->wrote('retired device', null, $found->id);
        $this->addFlash('done', $found->name.' is retired; its token opens nothing any more.');

        return $this->redirectToRoute('device_bench', [], Response::HTTP_SEE_OTHER);
    }
}
