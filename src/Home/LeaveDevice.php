<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Web\Clock;
use Symfony\Bundle\FrameworkBundle\Controller\AbstractController;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Routing\Attribute\Route;

/** A device that was taken out has handed in what it kept and erased its store; it says so once. */
#[Route('/home/emptied', name: 'home_emptied', methods: ['POST'], stateless: true)]
final class LeaveDevice extends AbstractController
{
    public function __construct(
        private readonly HomeDevices $devices,
        private readonly HomeCookie $cookie,
        private readonly Audit $audit,
        private readonly Clock $clock,
    ) {
    }

    public function __invoke(Request $request): JsonResponse
    {
        $device = $this->devices->bySecret(HomeCookie::secretOf($request) ?? '');
        if (null !== $device && !$device->isIn() && null === $device->emptiedAt) {
            $device->emptiedAt = $this->clock->now();
            $this->devices->keep();
            $this->audit->by($device->clinicId, $device->actor(), 'emptied device', $device->id);
        }
        $this->cookie->takeBack($request);

        return new JsonResponse(['state' => 'emptied']);
    }
}
