<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Client\Client;

final readonly class ClientRow
{
    public function __construct(
        public Client $client,
        public ?\DateTimeImmutable $lastSitting,
        public int $daysThisWeek,
        public int $daysPlanned,
        public bool $isDue,
        public int $waiting,
        public int $suspended,
        public ?int $measuredDaysAgo,
    ) {
    }
}
