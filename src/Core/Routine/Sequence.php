<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** Items in the order of the sitting, with what they take. */
final readonly class Sequence
{
    /** @param list<Item> $items */
    public function __construct(
        public array $items,
    ) {
    }

    /** Seconds of the sitting. */
    public function seconds(): int
    {
        return array_sum($this->times());
    }

    /**
     * What each item adds where it stands. Between two items there are 15 s, and 30 more on a change of position. A
     * chain is done in rounds: what follows in it is set up quickly, goes on as its walk says, once a round, and only
     * the longest of its rests stands between two rounds.
     *
     * @return list<int> seconds
     */
    public function times(): array
    {
        $times = [];
        $before = $lastItem = null;
        $rest = 0; // of this chain, counted so far
        $chain = [];
        foreach ($this->items as $item) {
            $goesOn = null !== $lastItem && self::goesOn($lastItem, $item);
            $time = $goesOn ? self::inChain($chain, $item, $rest) : self::alone($before, $item);
            $times[] = $time + (null !== $before && self::changesPosition($before, $item)
                ? Limits::POSTURE_CHANGE_SECONDS
                : 0);
            $before = $item;
            if (!$item->isPause) {
                $chain = $goesOn ? [...$chain, $item] : [$item];
                $rest = $goesOn ? max($rest, $item->restSeconds()) : $item->restSeconds();
                $lastItem = $item;
            }
        }

        return $times;
    }

    /**
     * What is done without a tap in between: an exercise, or a chain with the pauses in it.
     *
     * @return list<non-empty-list<Item>>
     */
    public function stretches(): array
    {
        $stretches = [];
        $last = null;
        $pauses = [];
        foreach ($this->items as $item) {
            if ($item->isPause && null !== $last) {
                $pauses[] = $item; // whose it is shows with what comes next
                continue;
            }
            if (null !== $last && self::goesOn($last, $item)) {
                $stretch = array_pop($stretches);
                $stretches[] = [...$stretch, ...$pauses, $item];
            } else {
                foreach ($pauses as $pause) {
                    $stretches[] = [$pause];
                }
                $stretches[] = [$item];
            }
            $pauses = [];
            $last = $item->isPause ? $last : $item;
        }
        foreach ($pauses as $pause) {
            $stretches[] = [$pause];
        }

        return $stretches;
    }

    /**
     * What of a chain is played last in a round of it.
     *
     * @param list<Item> $chain
     * @param int        $round from 0
     */
    private static function before(array $chain, int $round): ?Item
    {
        foreach (array_reverse($chain) as $item) {
            if ($item->turns() > $round) {
                return $item;
            }
        }

        return null;
    }

    /** A pause does not break a chain. */
    private static function goesOn(Item $last, Item $item): bool
    {
        return !$item->isPause && null !== $item->block && $last->block === $item->block;
    }

    private static function alone(?Item $before, Item $item): int
    {
        return $item->seconds() + (null === $before ? 0 : Limits::BETWEEN_SECONDS);
    }

    /** @param list<Item> $chain what stands before it there */
    private static function inChain(array $chain, Item $item, int $restSoFar): int
    {
        $goingOn = 0;
        for ($round = 0; $round < $item->turns(); ++$round) {
            $goingOn += self::before($chain, $round)?->rung->walk->flow->secondsToNext() ?? 0;
        }

        return $item->secondsInChain()
            + $goingOn
            + max(0, $item->restSeconds() - $restSoFar);
    }

    public function effort(): float
    {
        return array_sum(array_map(static fn (Item $item): float => $item->effort(), $this->items));
    }

    /** Different things to do, as a client counts them: a chain is one, right and left are one. */
    public function homeItems(): int
    {
        return \count(array_unique(array_filter(
            array_map(static fn (Item $item): ?string => $item->homeKey(), $this->items),
            static fn (?string $key): bool => null !== $key,
        )));
    }

    public function balance(): Balance
    {
        return Balance::from($this->items);
    }

    public static function changesPosition(Item $from, Item $to): bool
    {
        return $from->rung->sitting->posture !== $to->rung->sitting->posture;
    }
}
