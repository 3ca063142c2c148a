<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** How often anything of a client has changed: what is made of it can be kept under this number. */
interface CountsChanges
{
    public function changes(Client $client): int;
}
