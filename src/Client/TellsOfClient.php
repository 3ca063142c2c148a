<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** A record from which something follows for a client: when it changes, what is kept of that client is stale. */
interface TellsOfClient
{
    public function ofClient(): string;
}
