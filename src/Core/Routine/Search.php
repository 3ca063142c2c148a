<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/**
 * Depth-first search over the option groups in sitting order with a bound: what is chosen so far plus the most that the
 * seconds left can still bring. Exact unless the number of nodes runs out, which is counted and never timed.
 */
final class Search
{
    private const MOST_NODES = 60_000;

    /** @var list<list<array{float, int}>> for each group and those after it: value per second at best, and the whole value; dearest first */
    private readonly array $rates;

    /** @var list<non-empty-list<int>> for each group and those after it: what the best one, two, three ... of them bring */
    private readonly array $sums;

    /** @var list<int> best value still to be had from the group of this index on, were there time for all */
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
        $rates = [[]];
        for ($i = \count($groups) - 1; $i >= 0; --$i) {
            $tail = [...$rates[0], [self::rate($groups[$i]), $groups[$i]->bestValue()]];
            usort($tail, static fn (array $a, array $b): int => $b <=> $a);
            array_unshift($rates, $tail);
        }
        $this->rates = $rates;
        $this->sums = array_map(static function (array $tail): array {
            $values = array_column($tail, 1);
            rsort($values);
            $sums = [0];
            foreach ($values as $value) {
                $sums[] = $sums[array_key_last($sums)] + $value;
            }

            return $sums;
        }, $rates);
    }

    /** @param ?Found $known an answer that is possible here, such as that of a shorter sitting: only better ones are looked for */
    public function best(?Found $known = null): ?Found
    {
        $this->best = $known;
        $this->nodes = 0;
        $this->walk(0, [], [], [], 0, 0, 0.0);
        $best = $this->best;

        return null === $best ? null : new Found($best->items, $best->value, $this->nodes < self::MOST_NODES);
    }

    /**
     * @param list<Item>          $items
     * @param array<string, true> $keys   of the items
     * @param array<string, true> $blocks what a client counts as one item
     */
    private function walk(int $group, array $items, array $keys, array $blocks, int $value, int $seconds, float $effort): void
    {
        $toBeat = $this->best->value ?? 0;
        if (++$this->nodes >= self::MOST_NODES || $value + $this->bounds[$group] <= $toBeat || $value + $this->mostOf($group, $this->limits->homeItems - \count($blocks)) <= $toBeat || $value + $this->mostIn($group, $this->limits->seconds() - $seconds) <= $toBeat) {
            return;
        }
        if (!isset($this->groups[$group])) {
            if ($this->isWhole($items)) {
                $this->best = new Found($items, $value, true);
            }

            return;
        }
        foreach ($this->groups[$group]->options as $option) {
            $this->tryOption($group, $option, $items, $keys, $blocks, $value, $seconds, $effort);
        }
        $this->walk($group + 1, $items, $keys, $blocks, $value, $seconds, $effort);
    }

    /** Value per second of a group's best option; what stands between two items and pauses only make it dearer. */
    private static function rate(OptionGroup $group): float
    {
        $rates = array_map(static fn (Option $o): float => $o->value / max(1, array_sum(array_map(static fn (Item $i): int => $i->seconds(), $o->items))), $group->options);

        return max($rates);
    }

    /** Every group that is taken is one home item or more. */
    private function mostOf(int $group, int $homeItems): int
    {
        $sums = $this->sums[$group];

        return $sums[min(max(0, $homeItems), \count($sums) - 1)];
    }

    /** No choice of the groups still to come can bring more than this in the seconds left: their values poured in, dearest first. */
    private function mostIn(int $group, int $seconds): int
    {
        $most = 0.0;
        $left = (float) $seconds;
        foreach ($this->rates[$group] as [$rate, $value]) {
            if ($rate <= 0.0 || $left <= 0.0) {
                break;
            }
            $share = min((float) $value, $rate * $left);
            $most += $share;
            $left -= $share / $rate;
        }

        return (int) floor($most + 1e-6);
    }

    /**
     * @param list<Item>          $items
     * @param array<string, true> $keys
     * @param array<string, true> $blocks
     */
    private function tryOption(int $group, Option $option, array $items, array $keys, array $blocks, int $value, int $seconds, float $effort): void
    {
        foreach ($option->items as $item) {
            $key = $item->key();
            if (isset($keys[$key])) {
                return; // it stands in the sitting already, inside a block
            }
            $keys[$key] = true;
            if ([] !== $this->rules->missingBefore($items, $item)) {
                return;
            }
            $last = $items[array_key_last($items) ?? 0] ?? null;
            if ($this->rules->needsPauseBefore($items, $item)) {
                if (null === $this->pause) {
                    return;
                }
                $seconds += Sequence::secondsAfter($last, $this->pause);
                $effort += $this->pause->effort();
                $items[] = $last = $this->pause;
            }
            $seconds += Sequence::secondsAfter($last, $item);
            $effort += $item->effort();
            if ($seconds > $this->limits->seconds() || $effort > $this->limits->effortBudget() + 1e-9) {
                return;
            }
            $items[] = $item;
            $blocks[$item->block ?? $key] = true;
        }
        if (\count($blocks) <= $this->limits->homeItems) {
            $this->walk($group + 1, $items, $keys, $blocks, $value + $option->value, $seconds, $effort);
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
