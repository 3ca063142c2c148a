<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;

/** When strength work was last done; the sittings know. */
interface StrengthDays
{
    /** The day when it was today or yesterday, else null. */
    public function recent(Client $client, \DateTimeImmutable $today): ?\DateTimeImmutable;
}
