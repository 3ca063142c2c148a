<?php

declare(strict_types=1);

namespace HandGarden\Device;

use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\InvalidBatch;
use HandGarden\Web\Clock;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\AsController;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** Where devices deliver: lines of JSON with a bearer token, no session. What was left out is said in the answer. */
#[Route('/device/frames', name: 'device_frames', methods: ['POST'], stateless: true)]
#[AsController]
#[IsGranted('ROLE_DEVICE')]
final readonly class TakeFrames
{
    public function __construct(
        private FrameStore $frames,
        private Clock $clock,
    ) {
    }

    public function __invoke(Request $request, #[CurrentUser] DeviceUser $device): Response
    {
        try {
            $batch = Batch::read(
                $device->kind,
                $request->getContent(),
                $this->frames->seen($device->id),
            );
        } catch (InvalidBatch $e) {
            return new JsonResponse(['problem' => $e->getMessage()], 422);
        }
        $this->frames->keep($device->id, $batch, (int) $this->clock->now()->format('Uv'));

        return new JsonResponse(
            ['taken' => \count($batch->frames), 'faults' => (object) $batch->faults],
        );
    }
}
