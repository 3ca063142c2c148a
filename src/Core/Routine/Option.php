<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** Items that come into a sitting together or not at all, with what they are worth. */
final readonly class Option
{
    /** @param non-empty-list<Item> $items */
    public function __construct(public array $items, public int $value)
    {
    }
}
