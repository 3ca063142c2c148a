<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/**
 * What is given today: the dose of record, held down by what the log asks for until a therapist has answered. It makes
 * nothing harder and brings nothing in.
 */
final readonly class Given
{
    /** Practice days of a client's first plan on which each item is done once. */
    public const FIRST_DAYS = 3;

    /** @var array<string, Proposal> that make an item easier, by its key */
    private array $easier;

    /**
     * @param list<Proposal> $open         that nobody has answered yet
     * @param int            $practiceDays that were before today
     */
    public function __construct(
        array $open,
        private int $practiceDays,
    ) {
        $easier = [];
        foreach ($open as $proposal) {
            $key = $proposal->itemKey();
            if (null !== $key && null !== $proposal->to && !$proposal->kind->isMore()) {
                $easier[$key] ??= $proposal;
            }
        }
        $this->easier = $easier;
    }

    /**
     * @param list<Item> $items of the routine
     *
     * @return list<Item>
     */
    public function items(array $items): array
    {
        return array_map(fn (Item $item): Item => $this->once($this->eased($item)), $items);
    }

    private function eased(Item $item): Item
    {
        $to = $item->isPause ? null : ($this->easier[$item->key()] ?? null)?->to;
        if (null === $to) {
            return $item;
        }
        $dosing = $item->rung->dosing;
        $eased = $dosing->with($to, $dosing->amountOf($item->dose));

        return $eased->isAtMost($item->dose)
            ? $item->withDose($eased)->varied(new Phrase('variant.eased'))
            : $item;
    }

    private function once(Item $item): Item
    {
        if ($item->isPause || $this->practiceDays >= self::FIRST_DAYS) {
            return $item;
        }
        $dosing = $item->rung->dosing;

        return $item->withDose($dosing->with($item->dose, $dosing->amounts->amounts()[0]));
    }
}
