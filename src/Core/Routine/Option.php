<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** Items that come into a sitting together or not at all. */
final readonly class Option
{
    /** @param non-empty-list<Item> $items */
    public function __construct(
        public array $items,
    ) {
    }

    public function has(string $key): bool
    {
        foreach ($this->items as $item) {
            if ($item->key() === $key) {
                return true;
            }
        }

        return false;
    }
}
