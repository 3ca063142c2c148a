<?php

declare(strict_types=1);

namespace HandGarden\Desk;

use HandGarden\Client\Client;

final readonly class ClientRow
{
    public function __construct(
        public Client $client,
        public ?\DateTimeImmutable $lastSitting,
        public int $daysInTheLastSeven,
        public int $daysPlanned,
        public bool $isDue,
        public int $waiting,
        public int $suspended,
        public ?int $measuredDaysAgo,
    ) {
    }

    /** @return list<int|bool|string> where it stands in the list: suspended first, then what waits, then who is due */
    public function place(): array
    {
        return [
            -$this->suspended,
            -$this->waiting,
            !$this->isDue,
            $this->client->familyName,
            $this->client->id,
        ];
    }
}
