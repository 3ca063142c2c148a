<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;

/** What a client wants to do again: in their own words, else the task that was chosen first. */
final readonly class WantedTask
{
    public function __construct(
        private CatalogueStore $catalogue,
    ) {
    }

    /** Null: neither was said. */
    public function of(Client $client): ?string
    {
        return '' !== $client->goalWords
            ? $client->goalWords
            : $this->catalogue->get()->goal((string) array_key_first($client->goals))?->label;
    }
}
