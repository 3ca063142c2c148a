<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\SittingRole;

/** What is left of a list for a day on which the whole is too much, where nobody made a list for it. */
final class ShortList
{
    private const WORK = 3;
    /** Of the time of the whole. */
    private const SHARE = 0.5;

    /**
     * Three of its main exercises, each with what prepares it, and what it ends with; no more than half its time, but
     * always one.
     *
     * @param list<Item>                                  $items
     * @param array<int, list<non-empty-list<int>>> $preparedBy see StillPrepared
     *
     * @return list<int> places of those that stay
     */
    public static function of(array $items, array $preparedBy): array
    {
        $allowed = self::SHARE * self::seconds($items, array_keys($items));
        $kept = array_keys(array_filter(
            $items,
            static fn (Item $i): bool => SittingRole::CoolDown === $i->rung->sitting->role && !$i->isPause,
        ));
        $work = 0;
        foreach ($items as $place => $item) {
            if ($item->isPause || SittingRole::Main !== $item->rung->sitting->role || $work >= self::WORK) {
                continue;
            }
            $with = array_values(array_unique([...$kept, ...self::withPreparation($place, $preparedBy)]));
            if (0 === $work || self::seconds($items, $with) <= $allowed) {
                $kept = $with;
                ++$work;
            }
        }
        sort($kept);

        return 0 === $work ? array_keys($items) : $kept;
    }

    /**
     * @param array<int, list<non-empty-list<int>>> $preparedBy
     *
     * @return non-empty-list<int> of each need the last that meets it, with its own
     */
    private static function withPreparation(int $place, array $preparedBy): array
    {
        $places = [$place];
        foreach ($preparedBy[$place] ?? [] as $meeting) {
            array_push($places, ...self::withPreparation(max($meeting), $preparedBy));
        }

        return $places;
    }

    /**
     * @param list<Item> $items
     * @param list<int>  $places
     */
    private static function seconds(array $items, array $places): int
    {
        return array_sum(array_map(static fn (int $p): int => $items[$p]->seconds(), $places));
    }
}
