<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Sitting\SittingSecret;
use HandGarden\Web\Clock;
use Symfony\Component\Uid\Uuid;

/** Hands out what a device needs to begin sittings without a network: as many as are planned, and two to spare. */
final readonly class Slots
{
    private const SPARE = 2;
    private const MOST = 80;

    public function __construct(
        private HomeDevices $devices,
        private Clock $clock,
    ) {
    }

    /**
     * @param int          $planned sittings in the days that the plan is for
     * @param list<string> $held    ids that the device says it holds
     *
     * @return list<array{id: string, secret: string}> new ones
     */
    public function topUp(HomeDevice $device, Client $client, int $planned, array $held): array
    {
        $open = array_filter(
            $this->devices->openSlots($device),
            static fn (HomeSlot $s): bool => \in_array($s->sittingId, $held, true),
        );
        $missing = min(self::MOST, $planned + self::SPARE) - \count($open);
        $new = $records = [];
        for ($n = 0; $n < $missing; ++$n) {
            $id = Uuid::v7()->toRfc4122();
            [$secret, $kept] = SittingSecret::ofUnbegun(
                $id,
                $client->clinicId,
                $client->id,
                $device->actor(),
                now: $this->clock->now(),
            );
            array_push($records, $kept, new HomeSlot(
                $id,
                $client->clinicId,
                $client->id,
                $device->id,
                handedAt: $this->clock->now(),
            ));
            $new[] = ['id' => $id, 'secret' => $secret];
        }
        $this->devices->keep(...$records);

        return $new;
    }
}
