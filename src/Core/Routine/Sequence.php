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

    /** Seconds of the sitting: every item, 15 between two, 30 more on a change of position. */
    public function seconds(): int
    {
        $seconds = 0;
        $previous = null;
        foreach ($this->items as $item) {
            $seconds += self::secondsAfter($previous, $item);
            $previous = $item;
        }

        return $seconds;
    }

    /** What one item adds when it follows another. */
    public static function secondsAfter(?Item $previous, Item $item): int
    {
        $change = null !== $previous && self::changesPosition($previous, $item);

        return $item->seconds() + (
            null === $previous ? 0 : Limits::BETWEEN_SECONDS
        ) + ($change ? Limits::POSTURE_CHANGE_SECONDS : 0);
    }

    public function effort(): float
    {
        return array_sum(array_map(static fn (Item $item): float => $item->effort(), $this->items));
    }

    /** Items as a client counts them: a block is one, a pause none. */
    public function homeItems(): int
    {
        $keys = [];
        foreach ($this->items as $i => $item) {
            if (!$item->isPause) {
                $keys[$item->block ?? '#'.$i] = true;
            }
        }

        return \count($keys);
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
