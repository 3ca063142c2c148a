<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** Options of which a sitting takes one or none: the same chain at several lengths, an item with or without its lead-in. */
final readonly class OptionGroup
{
    /** @param non-empty-list<Option> $options best first */
    public function __construct(public string $label, public array $options)
    {
    }

    public function bestValue(): int
    {
        return max(array_map(static fn (Option $o): int => $o->value, $this->options));
    }
}
