<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

use HandGarden\Core\Progress\Felt;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\Unlike;

/**
 * The record of an item is the fold of its events: the same events give the same record, in whatever order they come
 * and however often.
 *
 * A later line takes the place of an earlier one for what was done. What hurt is not taken back by it: pain, tone,
 * tingling and trick movements keep the worst that was told. What was marked for a whole class at once stands behind
 * every word of its own. Of running totals the largest counts, where no line says
 * otherwise. Something wrong makes the item a part of what was planned, unless a line says what was done. The pain told
 * at the end is that of every item that has no answer of its own.
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
        usort(
            $once,
            static fn (ItemEvent $a, ItemEvent $b): int => $a->place() <=> $b->place(),
        );
        $all = self::of($once, EventKind::Line);
        $lines = array_values(
            array_filter($all, static fn (ItemEvent $e): bool => true !== $e->told?->asShown),
        );
        $shown = array_values(
            array_filter($all, static fn (ItemEvent $e): bool => true === $e->told?->asShown),
        );
        $wrongs = self::of($once, EventKind::Wrong);
        $first = array_values(
            array_filter($once, static fn (ItemEvent $e): bool => null !== $e->told),
        )[0] ?? null;
        $told = self::lastWord([...$shown, ...$wrongs, ...$lines]);
        if (null === $first || null === $told) {
            return null;
        }
        foreach (self::of($once, EventKind::Noticed) as $noticed) {
            $told = $told->withNoticed($noticed->noticed);
        }
        $told = $told->withTotals(self::totals(self::of($once, EventKind::Counted)));
        $told = $told->withTheEnd(self::painAfter($once), self::whole($once), self::unlike($once));
        $hurtLater = [] !== self::of($once, EventKind::HurtLater);

        return new FoldedItem($hurtLater ? $told->hurtLater() : $told, $first->day, $first->at);
    }

    /** @param list<ItemEvent> $events */
    private static function painAfter(array $events): ?int
    {
        $worst = null;
        foreach (self::of($events, EventKind::After) as $after) {
            $worst = null === $after->pain ? $worst : max($after->pain, $worst ?? 0);
        }

        return $worst;
    }

    /** @param list<ItemEvent> $events */
    private static function whole(array $events): ?Felt
    {
        $whole = null;
        foreach (self::of($events, EventKind::After) as $after) {
            $whole = Felt::harder($whole, $after->whole);
        }

        return $whole;
    }

    /** @param list<ItemEvent> $events */
    private static function unlike(array $events): ?Unlike
    {
        foreach (self::of($events, EventKind::After) as $after) {
            if (null !== $after->unlike) {
                return $after->unlike;
            }
        }

        return null;
    }

    /** @param list<ItemEvent> $events what came later stands later */
    private static function lastWord(array $events): ?Told
    {
        $told = null;
        foreach ($events as $event) {
            if (null !== $event->told) {
                $told = null === $told ? $event->told : $event->told->after($told);
            }
        }

        return $told;
    }

    /**
     * @param list<ItemEvent> $events
     *
     * @return array<string, int> the largest, by what is counted
     */
    private static function totals(array $events): array
    {
        $totals = [];
        foreach ($events as $event) {
            foreach ($event->totals as $what => $total) {
                $totals[$what] = max($total, $totals[$what] ?? 0);
            }
        }

        return $totals;
    }

    /**
     * @param list<ItemEvent> $events
     *
     * @return list<ItemEvent>
     */
    private static function of(array $events, EventKind $kind): array
    {
        return array_values(array_filter(
            $events,
            static fn (ItemEvent $e): bool => $e->kind === $kind,
        ));
    }
}
