<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/**
 * Options of which a sitting takes one or none: the same chain at several lengths, an item with or without its
 * lead-in.
 */
final readonly class OptionGroup
{
    /**
     * @param non-empty-list<Option> $options
     * @param bool                   $must    a therapist wants one of them in
     */
    public function __construct(
        public string $label,
        public array $options,
        public bool $must = false,
    ) {
    }

    public static function from(Item $item): self
    {
        return new self($item->rung->name, [new Option([$item])]);
    }
}
