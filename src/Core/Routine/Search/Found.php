<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Item;

/** The best order that the search came upon, and the most that any could be worth. */
final readonly class Found
{
    /** @param list<Item> $items */
    public function __construct(
        public array $items,
        public int $value,
        public int $bound,
        public int $nodes,
    ) {
    }

    public function isProved(): bool
    {
        return $this->bound === $this->value;
    }
}
