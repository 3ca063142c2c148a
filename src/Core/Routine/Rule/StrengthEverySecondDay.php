<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Words\Phrase;

/** Strength work is never done two days running: a need that nothing in this sitting can meet. */
final readonly class StrengthEverySecondDay implements SittingRule
{
    use NeedsComeFirst;

    public function __construct(
        private Limits $limits,
    ) {
    }

    public function needs(Item $item): array
    {
        $last = $this->limits->lastStrengthOn;

        return null === $last || EffortClass::Strength !== $item->rung->load->class
            ? []
            : [
                new Need(
                    'a day between',
                    new Phrase('sitting_rule.need.day_between', ['day' => Phrase::day($last)]),
                    static fn (Item $earlier): bool => false,
                ),
            ];
    }
}
