<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** One hand of a client, with all that is known of it today. */
final readonly class HandOfClient
{
    public function __construct(
        public Side $side,
        public ClientFacts $facts,
        public KnownFacts $known,
    ) {
    }
}
