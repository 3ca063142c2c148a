<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Who;
use HandGarden\Client\ClientRepository;
use HandGarden\Client\HelperLeft;
use HandGarden\Web\Clock;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;

/** Whoever does not help any more does not open the plan either, from that moment. */
#[AsEventListener]
final readonly class HelperDevices
{
    public function __construct(
        private HomeDevices $devices,
        private DevicesOut $out,
        private ClientRepository $clients,
        private Who $who,
        private Clock $clock,
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
                $device->takeOut(TakenOutWhy::HelperLeft, $this->who->staff()->id, $this->clock->now());
                $this->out->setAside($device, $client);
            }
        }
    }
}
