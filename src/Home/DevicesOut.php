<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Who;
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
        private Who $who,
        private Clock $clock,
    ) {
    }

    /**
     * It opens nothing more. In sittings that it may still send of stands from when on; later ones are found out when
     * they begin.
     *
     * @param ?\DateTimeImmutable $lostSince out of the person's hands since then; null: it is not lost
     */
    public function takeOut(
        HomeDevice $device,
        Client $client,
        TakenOutWhy $why,
        ?\DateTimeImmutable $lostSince = null,
    ): void {
        $now = $this->clock->now();
        $device->takeOut($why, $this->who->staff()->id, $now);
        $device->lostSince = $lostSince;
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
