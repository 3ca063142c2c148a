<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Routine\Item;

/** Which exercises of a sitting work a part that another one strains: what rests with it when that part hurts. */
final readonly class SharedParts
{
    /**
     * @param list<Item> $items
     *
     * @return list<int> places of those that rest when the one at this place hurts, itself left out
     */
    public static function with(array $items, int $place): array
    {
        $hurt = $items[$place];
        $strained = $hurt->isPause ? [] : $hurt->rung->demands->works->strained();
        $resting = [];
        foreach ($items as $at => $item) {
            $isSameHand = [] !== array_uintersect(
                $hurt->hands->each(),
                $item->hands->each(),
                static fn ($a, $b): int => $a->value <=> $b->value,
            );
            if ($at === $place || $item->isPause || $item->rung->isRest() || !$isSameHand) {
                continue;
            }
            foreach ($strained as $part) {
                if ($item->rung->demands->works->doesWith($part, ...WorkKind::cases())) {
                    $resting[] = $at;
                    break;
                }
            }
        }

        return $resting;
    }
}
