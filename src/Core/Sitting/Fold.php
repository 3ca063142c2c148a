<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/**
 * The record of an item is the fold of its events: the same events give the same record, in whatever order they come
 * and however often.
 *
 * A later line takes the place of an earlier one for what was done. What hurt is not taken back by it: pain, tone,
 * tingling and trick movements keep the worst that was told.
 */
final class Fold
{
    /**
     * @param list<ItemEvent> $events of one item
     *
     * @return ?FoldedItem null while nothing was told of it
     */
    public static function item(array $events): ?FoldedItem
    {
        $once = [];
        foreach ($events as $event) {
            $once[$event->id] = $event;
        }
        usort($once, static fn (ItemEvent $a, ItemEvent $b): int => $a->place() <=> $b->place());
        $first = $told = null;
        $hurtLater = false;
        foreach ($once as $event) {
            $hurtLater = $hurtLater || EventKind::HurtLater === $event->kind;
            if (null !== $event->told) {
                $first ??= $event;
                $told = null === $told ? $event->told : $event->told->after($told);
            }
        }
        if (null === $first || null === $told) {
            return null;
        }

        return new FoldedItem($hurtLater ? $told->hurtLater() : $told, $first->day, $first->at);
    }
}
