<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** The best order that the search came upon. */
final readonly class Found
{
    /** @param list<Item> $items */
    public function __construct(public array $items, public int $value, public bool $proved)
    {
    }
}
