<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Core\Sitting\Aside;
use HandGarden\Sitting\EventKeeper;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/**
 * What a device that was taken out still sends, and what came after it was lost, waits until a therapist has looked.
 */
final readonly class DevicesOut
{
    public function __construct(
        private HomeDevices $devices,
        private SittingRepository $sittings,
        private EventKeeper $events,
        private Clock $clock,
    ) {
    }

    /** In sittings that it may still send of; later ones are found out when they begin. */
    public function setAside(HomeDevice $device, Client $client): void
    {
        $now = $this->clock->now();
        $since = ($device->lostSince ?? $now)->modify('-'.Aside::DAYS.' days');
        foreach ($this->devices->usedSlots($device, $since) as $slot) {
            $sitting = $this->sittings->find($slot->clinicId, $slot->sittingId);
            if (null !== $sitting) {
                $this->events->keep(
                    [UnbegunHome::takenOut($sitting, $device, $client, $now)],
                    $this->sittings->items($sitting),
                );
            }
        }
        $this->devices->keep();
    }
}
