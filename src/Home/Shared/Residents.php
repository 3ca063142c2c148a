<?php

declare(strict_types=1);

namespace HandGarden\Home\Shared;

use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Client\Helper;
use HandGarden\Client\HelperKind;
use HandGarden\Client\Helpers;
use HandGarden\Home\Consents;
use HandGarden\Home\HomeDevice;
use HandGarden\Home\HomeDevices;
use HandGarden\Web\Clock;

/** Whose plans the tablets of a care home open: residents on its list, while they agree, through a helper each. */
final readonly class Residents
{
    public function __construct(
        private ClientRepository $clients,
        private Helpers $helpers,
        private Consents $consents,
        private HomeDevices $devices,
        private Clock $clock,
    ) {
    }

    /** @return list<array{id: string, first: string, picture: string}> in the order of their first names */
    public function of(CareHome $home): array
    {
        $shown = [];
        foreach ($home->residents() as $id => $picture) {
            $client = $this->openTo($home, $id);
            if (null !== $client) {
                $shown[] = ['id' => $id, 'first' => $client->givenName, 'picture' => $picture];
            }
        }
        usort(
            $shown,
            static fn (array $a, array $b): int => [$a['first'], $a['id']] <=> [$b['first'], $b['id']],
        );

        return $shown;
    }

    /** Null: not on the list, or they do not agree (any more). */
    public function openTo(CareHome $home, string $clientId): ?Client
    {
        $client = $home->hasResident($clientId) ? $this->clients->find($home->clinicId, $clientId) : null;

        return null === $client || $client->isArchived() || !$this->agrees($client) ? null : $client;
    }

    public function agrees(Client $client): bool
    {
        return $this->consents->openPlan($client, toHelper: true);
    }

    /** As whom a worker helps a client; made when it is asked for first. */
    public function helper(Client $client, CareWorker $worker): Helper
    {
        $found = $this->helpers->ofWorker($client, $worker->id);
        if (null !== $found) {
            return $found;
        }
        $helper = new Helper(
            $client->clinicId,
            $client->id,
            $worker->name,
            HelperKind::CareWorker,
            at: $this->clock->now(),
            careWorkerId: $worker->id,
        );
        $this->helpers->keep($helper);

        return $helper;
    }

    /** What stands for the plan of a client on a tablet, in the hands of a worker. */
    public function device(SharedTablet $tablet, Client $client, Helper $helper): HomeDevice
    {
        foreach ($this->devices->onTablet($tablet->id) as $device) {
            if ($device->clientId === $client->id && $device->helperId === $helper->id) {
                return $device;
            }
        }
        $device = new HomeDevice(
            $client->clinicId,
            $client->id,
            $helper->id,
            $tablet->label,
            madeById: $tablet->madeById,
            madeAt: $this->clock->now(),
            tabletId: $tablet->id,
        );
        $this->devices->keep($device);

        return $device;
    }
}
