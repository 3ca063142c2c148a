<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** The amounts in which an item may come into a sitting. */
final readonly class AmountRange
{
    /**
     * @param int $least sets, or halves of the start time
     * @param int $by    sets of one step: where the walk alternates set by set, one pass through the alternation
     */
    public function __construct(
        public AmountUnit $unit,
        public int $least,
        public int $most,
        public int $by = 1,
    ) {
    }

    /** @return non-empty-list<Amount> least first */
    public function amounts(): array
    {
        return array_map(
            fn (int $number): Amount => new Amount($this->unit, $number),
            range($this->least, $this->most, $this->by),
        );
    }

    /** The amount in a dose; what lies between two is the lower one. */
    public function in(Dose $dose, Dose $start): Amount
    {
        $number = AmountUnit::Sets === $this->unit
            ? $dose->sets
            : intdiv(2 * $dose->moveSeconds, max(1, $start->moveSeconds));

        return $this->nearest($number);
    }

    /** @param int $number sets, or halves of the start time */
    public function nearest(int $number): Amount
    {
        $inside = max($this->least, min($this->most, $number));

        return new Amount($this->unit, $inside - ($inside - $this->least) % $this->by);
    }
}
