<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Where the ladders come from: all at hand, or each read when it is asked for. */
interface Ladders
{
    /** @return list<Ladder> in the order of a sitting */
    public function all(): array;

    /** The ladder that has a rung; null when none has. */
    public function with(string $rungId): ?Ladder;
}
