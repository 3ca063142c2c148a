<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\Words\Phrase;

/** A routine spread over seven days. */
final readonly class Week
{
    /**
     * @param list<PlannedDay> $days      Monday first
     * @param list<Phrase>     $conflicts of the whole week
     */
    public function __construct(
        public array $days,
        public array $conflicts,
    ) {
    }

    /** @return list<string> keys of everything that is needed, in the order of first use */
    public function materials(): array
    {
        $keys = [];
        foreach ($this->days as $day) {
            foreach ($day->items as $item) {
                foreach ($item->rung->fit->materials as $key) {
                    $keys[$key] = true;
                }
            }
        }

        return array_keys($keys);
    }
}
