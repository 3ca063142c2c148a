<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** Something that tells of a client was written past the records that Doctrine watches, in this transaction. */
final readonly class ClientChanged
{
    public function __construct(
        public string $clientId,
    ) {
    }
}
