<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Routine\Item;

/** What is played without a tap in between: an item, or a chain in its rounds. */
final readonly class Stretch
{
    /**
     * @param non-empty-list<Item>   $items
     * @param list<Played>         $cues
     */
    public function __construct(
        public array $items,
        public array $cues,
    ) {
    }

    public function seconds(): float
    {
        return array_sum(array_map(static fn (Played $p): float => $p->seconds, $this->cues));
    }
}
