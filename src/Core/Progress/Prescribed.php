<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;

/** An item as it is prescribed now. */
final readonly class Prescribed
{
    public function __construct(
        public Rung $rung,
        public Hands $hands,
        public Dose $dose,
        /** Of the practice days: half of them where two lists take turns and it stands in one. */
        public float $share = 1.0,
    ) {
    }

    /**
     * What a routine or several prescribe: each item once, pauses left out.
     *
     * @param list<Item> $items
     *
     * @return list<self>
     */
    public static function in(array $items): array
    {
        $prescribed = [];
        foreach ($items as $item) {
            if (!$item->isPause) {
                $prescribed[$item->key()] ??= new self(
                    $item->rung,
                    $item->hands,
                    $item->dose,
                );
            }
        }

        return array_values($prescribed);
    }

    /**
     * What stands in one of two lists that take turns is done every other day.
     *
     * @param list<self> $items
     * @param list<Item> $first
     * @param list<Item> $second empty: there is one list
     *
     * @return list<self>
     */
    public static function inTurns(array $items, array $first, array $second): array
    {
        $one = self::keys($first);
        $other = self::keys($second);
        $once = [] === $other ? [] : [...array_diff($one, $other), ...array_diff($other, $one)];

        return array_map(
            static fn (self $p): self => \in_array($p->key(), $once, true)
                ? new self($p->rung, $p->hands, $p->dose, 0.5)
                : $p,
            $items,
        );
    }

    /**
     * @param list<Item> $items
     *
     * @return list<string>
     */
    private static function keys(array $items): array
    {
        return array_map(static fn (Item $i): string => $i->key(), $items);
    }

    /**
     * As it is given: what was done since is read at that dose, and a step up starts from there.
     *
     * @param list<Proposal> $restraints that hold
     */
    public function under(array $restraints): self
    {
        $dosing = $this->rung->dosing;
        $given = $this->dose;
        foreach ($restraints as $proposal) {
            if (
                null === $proposal->to
                || $proposal->kind->isMore()
                || $proposal->itemKey() !== $this->key()
            ) {
                continue;
            }
            $to = $proposal->isLessOften()
                ? $proposal->to->withSets(min($proposal->to->sets, $given->sets))
                : $dosing->with($proposal->to, $dosing->amountOf($given));
            $given = $to->isAtMost($given) ? $to : $given;
        }

        return new self($this->rung, $this->hands, $given, $this->share);
    }

    public function key(): string
    {
        return (new ItemKey($this->rung->id, $this->hands))->text();
    }
}
