<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** One day: when, what, and what could not be. */
final readonly class PlannedDay
{
    /**
     * @param list<Item>   $items     empty: nothing that day
     * @param list<Phrase> $conflicts what was left out and why
     */
    public function __construct(
        public \DateTimeImmutable $day,
        public ?Slot $slot,
        public array $items,
        public bool $isTraining,
        public array $conflicts,
    ) {
    }

    public function hasStrength(): bool
    {
        return [] !== array_filter(
            $this->items,
            static fn (Item $i): bool => EffortClass::Strength === $i->rung->load->class,
        );
    }
}
