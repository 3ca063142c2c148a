<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/**
 * How much of an item is done in a sitting: chosen when the routine is built. How hard it is stands in its dose and
 * moves by what is logged.
 */
final readonly class Amount
{
    /** @param int $number sets, or halves of the start time */
    public function __construct(
        public AmountUnit $unit,
        public int $number,
    ) {
    }

    /** @param Dose $difficulty with the time of its start where the amount is one of time */
    public function of(Dose $difficulty): Dose
    {
        return AmountUnit::Sets === $this->unit
            ? $difficulty->withSets($this->number)
            : $difficulty->withMove(intdiv($difficulty->moveSeconds * $this->number, 2));
    }
}
