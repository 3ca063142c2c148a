<?php

declare(strict_types=1);

namespace HandGarden\Client;

/** An injury, lost feeling, a sore or something else is new for whoever handles the arm of a client. */
final readonly class TroubleBegan
{
    public function __construct(
        public Client $client,
    ) {
    }
}
