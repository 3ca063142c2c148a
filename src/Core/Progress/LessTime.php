<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;

/** Makes a sitting shorter without another plan: first less often, then without its hardest items; it keeps its end. */
final readonly class LessTime
{
    public function __construct(
        private int $seconds,
    ) {
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item>
     */
    public function of(array $items): array
    {
        while ((new Sequence($items))->seconds() > $this->seconds) {
            $shorter = self::lessOften($items) ?? self::withoutTheHardest($items);
            if (null === $shorter) {
                return $items;
            }
            $items = $shorter;
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
            if (
                !$item->isPause
                && self::isMoreThanOnce(
                    $item,
                )
                && $item->seconds() > ($longest?->seconds() ?? 0)
            ) {
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
     * What prepares, lets go, begins, ends or is the task of the day stays.
     *
     * @param list<Item> $items
     *
     * @return ?list<Item> null: nothing of that kind is left, or only one
     */
    private static function withoutTheHardest(array $items): ?array
    {
        $hardest = null;
        $several = 0;
        foreach ($items as $at => $item) {
            $class = $item->rung->load->class;
            $mayGo = !$item->isPause && !$item->isFrame() && null === $item->kept
                && Purpose::LettingGo !== $item->rung->demands->purpose
                && \in_array($class, [EffortClass::Practice, EffortClass::Strength], true);
            $several += $mayGo ? 1 : 0;
            if (
                $mayGo
                && (null === $hardest || $item->rung->load->intensity >= $items[$hardest]->rung->load->intensity)
            ) {
                $hardest = $at;
            }
        }
        if (null === $hardest || $several < 2) {
            return null;
        }
        unset($items[$hardest]);

        return self::withoutIdlePauses(array_values($items));
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
                || (isset($items[$at - 1], $items[$at + 1]) && !$items[$at - 1]->isPause && $items[$at + 1]->isHeavy()),
            \ARRAY_FILTER_USE_BOTH,
        ));
    }
}
