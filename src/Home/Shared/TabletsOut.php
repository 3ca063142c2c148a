<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Client\ClientRepository;
use HandGarden\Home\DevicesOut;
use HandGarden\Home\HomeDevice;
use HandGarden\Home\HomeDevices;
use HandGarden\Home\TakenOutWhy;
use HandGarden\Web\Clock;

/** A tablet opens nothing more, or not the plan of somebody who has moved. */
final readonly class TabletsOut
{
    public function __construct(
        private CareHomes $homes,
        private HomeDevices $devices,
        private DevicesOut $out,
        private ClientRepository $clients,
        private Clock $clock,
    ) {
    }

    public function tablet(SharedTablet $tablet, TakenOutWhy $why): void
    {
        $tablet->takenOutAt = $this->clock->now();
        $tablet->takenOutWhy = $why;
        $tablet->openDeviceId = null;
        $tablet->signOut();
        foreach ($this->devices->onTablet($tablet->id) as $device) {
            $this->device($device, $why);
        }
        $this->homes->keep();
    }

    public function ofResident(CareHome $home, string $clientId): void
    {
        foreach ($this->homes->tablets($home) as $tablet) {
            foreach ($this->devices->onTablet($tablet->id) as $device) {
                if ($device->clientId === $clientId) {
                    $this->device($device, TakenOutWhy::PlanEnded);
                }
            }
        }
    }

    private function device(HomeDevice $device, TakenOutWhy $why): void
    {
        $client = $this->clients->find($device->clinicId, $device->clientId);
        if (null !== $client) {
            $this->out->takeOut($device, $client, $why);
        }
    }
}
