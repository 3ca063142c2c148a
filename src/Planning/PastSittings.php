<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Progress\EarlierToday;

/** What a plan asks of the sittings that were. */
interface PastSittings
{
    /** The day of the last strength work when it was today or yesterday, else null. */
    public function lastStrength(
        Client $client,
        \DateTimeImmutable $today,
    ): ?\DateTimeImmutable;

    /** On how many days before today something was done, counted up to ten. */
    public function practiceDays(Client $client): int;

    /** What was done on this day already. */
    public function earlierToday(Client $client): EarlierToday;

    /** @return list<string> keys of items that were done in a sitting with somebody of the clinic beside */
    public function shown(Client $client): array;

    /** @return array<string, int> by item key: on how many of the last seven days it was done */
    public function recentDays(Client $client, \DateTimeImmutable $today): array;
}
