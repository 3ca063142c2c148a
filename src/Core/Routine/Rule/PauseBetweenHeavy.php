<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** No more than two heavy items in a row load the same muscles; a pause between clears it. */
final readonly class PauseBetweenHeavy implements SittingRule
{
    use LeavesNothingOut;
    use NeedsNothing;

    public function broken(array $items): array
    {
        $broken = [];
        foreach ($items as $at => $item) {
            if ($at >= 2 && self::isTooMuch($items[$at - 2], $items[$at - 1], $item)) {
                $broken[] = new BrokenRule(
                    'too-heavy-in-a-row',
                    new Phrase('sitting_rule.of_item', [
                        'item' => $item->rung->name,
                        'what' => new Phrase('sitting_rule.too_heavy_in_a_row'),
                    ]),
                    $at,
                );
            }
        }

        return $broken;
    }

    private static function isTooMuch(Item $first, Item $second, Item $third): bool
    {
        return $first->isHeavy() && $second->isHeavy() && $third->isHeavy()
            && [] !== array_intersect(
                $first->loadedGroups(),
                $second->loadedGroups(),
                $third->loadedGroups(),
            );
    }
}
