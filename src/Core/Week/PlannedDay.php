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
     * @param list<Slot>   $slots     one for each sitting, each with all items; none: nothing that day
     * @param list<Item>   $items     empty: nothing that day
     * @param list<Phrase> $conflicts what was left out and why
     * @param ?DayList     $list      null: there is one list for every day
     */
    public function __construct(
        public \DateTimeImmutable $day,
        public array $slots,
        public array $items,
        public bool $isTraining,
        public array $conflicts,
        public ?DayList $list = null,
    ) {
    }

    /** Minutes of one sitting. */
    public function minutes(): int
    {
        return [] === $this->slots ? 0 : $this->slots[0]->to - $this->slots[0]->from;
    }

    public function hasStrength(): bool
    {
        return [] !== array_filter(
            $this->items,
            static fn (Item $i): bool => EffortClass::Strength === $i->rung->load->class,
        );
    }
}
