<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** A hard rule that a routine does not keep; `item` is the place in the order, null for the whole. */
final readonly class BrokenRule
{
    public function __construct(public string $code, public string $text, public ?int $item = null)
    {
    }
}
