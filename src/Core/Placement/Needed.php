<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Ladder;

/** A fact that is missing, how long it takes to get and which ladders wait for it. */
final readonly class Needed
{
    /** @param list<array{Ladder, Side}> $decides */
    public function __construct(
        public string $code,
        public ?string $argument,
        public Side $side,
        public int $seconds,
        public array $decides,
    ) {
    }

    /** How many ladders wait for it, those of both hands counted once. */
    public function ladders(): int
    {
        return \count(array_unique(array_map(
            static fn (array $of): string => $of[0]->key,
            $this->decides,
        )));
    }
}
