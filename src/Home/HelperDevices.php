<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\ClientRepository;
use HandGarden\Client\HelperLeft;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/** Whoever does not help any more does not open the plan either, from that moment. */
#[AsEventListener]
final readonly class HelperDevices
{
    public function __construct(
        private HomeDevices $devices,
        private DevicesOut $out,
        private ClientRepository $clients,
    ) {
    }

    public function __invoke(HelperLeft $event): void
    {
        $client = $this->clients->find($event->helper->clinicId, $event->helper->clientId);
        if (null === $client) {
            return;
        }
        foreach ($this->devices->of($client) as $device) {
            if ($device->helperId === $event->helper->id && $device->isIn()) {
                $this->out->takeOut($device, $client, TakenOutWhy::HelperLeft);
            }
        }
    }
}
