<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** A fact that is missing, how long it takes to get and how many ladders wait for it. */
final readonly class Needed
{
    public function __construct(
        public string $code,
        public ?string $argument,
        public Side $side,
        public int $seconds,
        public int $ladders,
    ) {
    }
}
