<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Client\Client;
use HandGarden\Client\HelperKind;
use HandGarden\Client\Helpers;
use HandGarden\Core\Home\ConsentKind;

/** Who sees what at home: the client all of it, a helper what the client agreed to, a care worker only the plan. */
final readonly class WhatIsSeen
{
    public function __construct(
        private Consents $consents,
        private Helpers $helpers,
    ) {
    }

    public function by(HomeUser $user, Client $client): Seen
    {
        $id = $user->device->helperId;
        $helper = null === $id ? null : $this->helpers->find($client, $id);
        $isWorker = HelperKind::CareWorker === $helper?->kind;
        $may = fn (ConsentKind $kind): bool => null === $id || $this->consents->holds($client, $kind);

        return new Seen(
            changes: !$isWorker && $may(ConsentKind::HelperSees),
            diary: !$isWorker && $may(ConsentKind::DiaryShared),
            messages: !$isWorker && $may(ConsentKind::HelperSees),
            alerts: $may(ConsentKind::HelperHearsOfStops),
            letter: !$isWorker && $may(ConsentKind::HelperSees),
            block: null === $id,
        );
    }
}
