<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Catalogue\RungPart;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;

/** Makes a sitting shorter without another plan: first less often, then without its hardest items; it keeps its end. */
final readonly class LessTime
{
    /**
     * @param list<Item> $items
     *
     * @return list<Item> within the time, as far as that goes
     */
    public static function forSeconds(array $items, int $seconds): array
    {
        return self::until($items, static fn (Sequence $s): bool => $s->seconds() <= $seconds);
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item> within the effort that is left; where that does not go, what begins, ends and rests alone
     */
    public static function forEffort(array $items, float $effort): array
    {
        $fits = static fn (Sequence $s): bool => $s->effort() <= $effort;
        $less = self::until($items, $fits);

        return $fits(new Sequence($less)) ? $less : array_values(array_filter(
            $less,
            static fn (Item $i): bool => $i->isFrame() || $i->rung->load->class->isRestful(),
        ));
    }

    /**
     * @param list<Item>               $items
     * @param \Closure(Sequence): bool $fits
     *
     * @return list<Item>
     */
    private static function until(array $items, \Closure $fits): array
    {
        while (!$fits(new Sequence($items))) {
            $less = self::lessOften($items) ?? self::withoutTheHardest($items);
            if (null === $less) {
                return $items;
            }
            $items = $less;
        }

        return $items;
    }

    /**
     * The longest item that is done several times, once less; a chain goes in rounds, all of it once less.
     *
     * @param list<Item> $items
     *
     * @return ?list<Item> null: everything is done once
     */
    private static function lessOften(array $items): ?array
    {
        $longest = null;
        foreach ($items as $item) {
            $isLonger = $item->seconds() > ($longest?->seconds() ?? 0);
            if (!$item->isPause && $isLonger && self::isMoreThanOnce($item)) {
                $longest = $item;
            }
        }
        if (null === $longest) {
            return null;
        }

        return array_map(static function (Item $item) use ($longest): Item {
            $isMeant = $item === $longest || (null !== $item->block && $item->block === $longest->block);

            return $isMeant && !$item->isPause
                ? $item->withDose($item->rung->dosing->stepped($item->dose, -1))
                : $item;
        }, $items);
    }

    private static function isMoreThanOnce(Item $item): bool
    {
        $dosing = $item->rung->dosing;

        return $dosing->amountOf($item->dose)->number > $dosing->amounts->least;
    }

    /**
     * Of several active items the hardest; then the daily task, the last active item, and what prepares for it.
     *
     * @param list<Item> $items
     *
     * @return ?list<Item> null: nothing of that kind is left, or only one
     */
    private static function withoutTheHardest(array $items): ?array
    {
        $active = self::places(
            $items,
            static fn (Item $i): bool => !self::isTask($i) && self::isActive($i),
        );
        $passive = self::places(
            $items,
            static fn (Item $i): bool => !self::isTask($i) && !self::isActive($i),
        );
        $goes = match (true) {
            \count($active) > 1 => self::hardest($items, $active),
            [] !== $active || [] !== $passive => self::places($items, self::isTask(...))[0] ?? null,
            default => null,
        };
        $goes ??= [] !== $active && [] !== $passive ? $active[0] : null;
        $goes ??= \count($passive) > 1 ? end($passive) : null;
        if (null === $goes) {
            return null;
        }
        unset($items[$goes]);

        return self::withoutIdlePauses(array_values($items));
    }

    /**
     * @param list<Item>           $items
     * @param \Closure(Item): bool $is
     *
     * @return list<int> where such items stand that may go; what begins, ends, lets go or was kept in may not
     */
    private static function places(array $items, \Closure $is): array
    {
        return array_keys(array_filter($items, static fn (Item $i): bool => !$i->isPause
            && !$i->isFrame()
            && null === $i->kept
            && Purpose::LettingGo !== $i->rung->demands->purpose
            && $is($i)));
    }

    private static function isTask(Item $item): bool
    {
        return $item->rung->plays(RungPart::CarriesTask);
    }

    private static function isActive(Item $item): bool
    {
        return !$item->rung->load->class->isRestful();
    }

    /**
     * @param list<Item>          $items
     * @param non-empty-list<int> $places
     */
    private static function hardest(array $items, array $places): int
    {
        $hardest = $places[0];
        foreach ($places as $at) {
            $isHarder = $items[$at]->rung->load->intensity >= $items[$hardest]->rung->load->intensity;
            $hardest = $isHarder ? $at : $hardest;
        }

        return $hardest;
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item> without a pause at an end or beside another
     */
    private static function withoutIdlePauses(array $items): array
    {
        return array_values(array_filter(
            $items,
            static fn (Item $item, int $at): bool => !$item->isPause
                || (isset(
                    $items[$at - 1],
                    $items[$at + 1],
                ) && !$items[$at - 1]->isPause && $items[$at + 1]->isHeavy()),
            \ARRAY_FILTER_USE_BOTH,
        ));
    }
}
