<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Words\Phrase;

/** For rules that say what has to stand earlier than an item: they are broken where that is missing. */
trait NeedsComeFirst
{
    public function broken(array $items): array
    {
        $broken = [];
        foreach ($items as $at => $item) {
            foreach ($this->missing(\array_slice($items, 0, $at), $item) as $need) {
                $broken[] = new BrokenRule(
                    'needs-before',
                    new Phrase(
                        'sitting_rule.of_item',
                        ['item' => $item->rung->name, 'what' => $need->words],
                    ),
                    $at,
                );
            }
        }

        return $broken;
    }

    public function leftOut(array $chosen, array $missing): ?Phrase
    {
        foreach ($this->missing($chosen, $missing[0]) as $need) {
            return $need->words;
        }

        return null;
    }

    /**
     * @param list<Item> $before
     *
     * @return array<string, Need> once for both hands, by the words
     */
    private function missing(array $before, Item $item): array
    {
        $missing = [];
        foreach ($this->needs($item) as $need) {
            if (!$need->isMet($before)) {
                $missing[$need->words->code] ??= $need;
            }
        }

        return $missing;
    }
}
