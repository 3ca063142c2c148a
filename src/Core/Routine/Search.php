<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/**
 * Depth-first search over the option groups in sitting order with a bound: what is chosen so far plus the best value of
 * all that is still to come. Exact unless the number of nodes runs out, which is counted and never timed.
 */
final class Search
{
    private const MOST_NODES = 60_000;

    /** @var list<int> best value still to be had from the group of this index on */
    private readonly array $bounds;

    private ?Found $best = null;

    private int $nodes = 0;

    /** @param list<OptionGroup> $groups in the order of a sitting */
    public function __construct(private readonly array $groups, private readonly SittingRules $rules, private readonly Limits $limits, private readonly ?Item $pause)
    {
        $bounds = [0];
        for ($i = \count($groups) - 1; $i >= 0; --$i) {
            array_unshift($bounds, $bounds[0] + $groups[$i]->bestValue());
        }
        $this->bounds = $bounds;
    }

    public function best(): ?Found
    {
        $this->best = null;
        $this->nodes = 0;
        $this->walk(0, [], 0, 0, 0.0);
        $best = $this->best;

        return null === $best ? null : new Found($best->items, $best->value, $this->nodes < self::MOST_NODES);
    }

    /** @param list<Item> $items */
    private function walk(int $group, array $items, int $value, int $seconds, float $effort): void
    {
        if (++$this->nodes >= self::MOST_NODES || $value + $this->bounds[$group] <= ($this->best->value ?? 0)) {
            return;
        }
        if (!isset($this->groups[$group])) {
            if ($this->isWhole($items)) {
                $this->best = new Found($items, $value, true);
            }

            return;
        }
        foreach ($this->groups[$group]->options as $option) {
            $this->tryOption($group, $option, $items, $value, $seconds, $effort);
        }
        $this->walk($group + 1, $items, $value, $seconds, $effort);
    }

    /** @param list<Item> $items */
    private function tryOption(int $group, Option $option, array $items, int $value, int $seconds, float $effort): void
    {
        $keys = array_map(static fn (Item $i): string => $i->key(), $items);
        foreach ($option->items as $item) {
            if (\in_array($item->key(), $keys, true)) {
                return; // it stands in the sitting already, inside a block
            }
            if ([] !== $this->rules->missingBefore($items, $item)) {
                return;
            }
            if ($this->rules->needsPauseBefore($items, $item)) {
                if (null === $this->pause) {
                    return;
                }
                $seconds += Sequence::secondsAfter($items[array_key_last($items)] ?? null, $this->pause);
                $effort += $this->pause->effort();
                $items[] = $this->pause;
            }
            $seconds += Sequence::secondsAfter($items[array_key_last($items)] ?? null, $item);
            $effort += $item->effort();
            $items[] = $item;
            if ($seconds > $this->limits->seconds() || $effort > $this->limits->effortBudget() + 1e-9) {
                return;
            }
        }
        if ((new Sequence($items))->homeItems() <= $this->limits->homeItems) {
            $this->walk($group + 1, $items, $value + $option->value, $seconds, $effort);
        }
    }

    /** @param list<Item> $items */
    private function isWhole(array $items): bool
    {
        $warm = $cool = $work = false;
        foreach ($items as $item) {
            $warm = $warm || SittingRules::isWarmUp($item);
            $cool = $cool || SittingRules::isCoolDown($item);
            $work = $work || (!SittingRules::isWarmUp($item) && !SittingRules::isCoolDown($item));
        }

        return $warm && $cool && $work;
    }
}
