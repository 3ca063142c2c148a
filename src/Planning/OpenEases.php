<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Core\Progress\Proposal;

/** What the log asks for and nobody has answered yet. */
interface OpenEases
{
    /** @return list<Proposal> */
    public function for(Client $client): array;
}
