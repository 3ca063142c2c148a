<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Balance;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Need;
use HandGarden\Core\Routine\Objective;
use HandGarden\Core\Routine\Option;
use HandGarden\Core\Routine\OptionGroup;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Routine\SittingRules;

/** Turns groups of items into whole numbers and bits; the rules themselves are asked, never repeated. */
final class Compiler
{
    private const LAST_BIT = 62;

    /** @var array<string, Need> */
    private array $needs = [];

    /** @var array<string, int> bit by name */
    private array $bits = [];

    /** @var array<string, int> how many bits of a kind are given out */
    private array $used = [];

    /** @var array<string, int> number by name */
    private array $postures = [];

    /** @var array<string, int> in how many groups an item could come in, by key */
    private array $groupsOf = [];

    /** @var array<string, int> in how many groups something to do could come in, by what a client counts it as */
    private array $groupsOfHome = [];

    /** @var array<string, array<string, true>> the keys of the items that a client counts as the same thing to do */
    private array $itemsOfHome = [];

    /** @param bool $pinsNeedNothing what a therapist wants in may stand there without what should come before it */
    public function __construct(
        private readonly SittingRules $rules,
        private readonly Objective $objective,
        private readonly bool $pinsNeedNothing = false,
    ) {
    }

    /**
     * @param list<OptionGroup> $groups
     *
     * @return list<Stage> in the same order
     */
    public function stages(array $groups): array
    {
        $this->needs = $this->bits = $this->used = $this->postures = $this->groupsOf = [];
        $this->groupsOfHome = $this->itemsOfHome = [];
        foreach ($groups as $group) {
            $keys = $homes = [];
            foreach ($group->options as $option) {
                foreach ($option->items as $item) {
                    $keys[$item->key()] = true;
                    $home = $item->homeKey();
                    if (null !== $home) {
                        $homes[$home] = true;
                        $this->itemsOfHome[$home][$item->key()] = true;
                    }
                    foreach ($this->rules->needsOf($item) as $need) {
                        $this->needs[$need->key] ??= $need;
                    }
                }
            }
            foreach (array_keys($keys) as $key) {
                $this->groupsOf[$key] = ($this->groupsOf[$key] ?? 0) + 1;
            }
            foreach (array_keys($homes) as $key) {
                $this->groupsOfHome[$key] = ($this->groupsOfHome[$key] ?? 0) + 1;
            }
        }

        return array_map($this->stage(...), $groups);
    }

    public function pause(?Item $pause): ?Step
    {
        return null === $pause ? null : $this->step($pause, false, $pause->seconds());
    }

    private function stage(OptionGroup $group): Stage
    {
        $area = $points = 0;
        $closes = false;
        foreach ($group->options[0]->items as $item) {
            $name = $this->objective->areaOf($item);
            if (null !== $name && 0 === $area) {
                $area = $this->bit('area', $name);
                $points = $this->objective->ofArea($name);
            }
            $closes = $closes || $item->isCoolDown();
        }
        $free = $group->must && $this->pinsNeedNothing;
        $choices = array_map(function (Option $o) use ($free, $area): Choice {
            $steps = $this->steps($o, $free);

            return new Choice(
                $steps,
                $area,
                $this->objective->weights->position,
                growths: self::growths($o, []),
                ownGrowths: self::growths(
                    $o,
                    array_filter(array_map(static fn (Step $s): bool => $s->isShared(), $steps)),
                ),
            );
        }, $group->options);

        return new Stage($choices, $group->must, $area, $points, closes: $closes);
    }

    /**
     * A chain grows as one: in rounds.
     *
     * @param array<int, true> $without places that are left out
     *
     * @return list<Growth>
     */
    private static function growths(Option $option, array $without): array
    {
        $units = [];
        foreach ($option->items as $at => $item) {
            if (!isset($without[$at])) {
                $units[$item->block ?? '#'.$at][] = $at;
            }
        }

        return array_values(array_filter(array_map(
            static fn (array $places): ?Growth => self::growth($option, $places),
            $units,
        )));
    }

    /** @param non-empty-list<int> $places of the items that grow together */
    private static function growth(Option $option, array $places): ?Growth
    {
        $increments = self::increments($option, $places);
        $first = $option->items[$places[0]];

        return [] === $increments ? null : new Growth($first->block ?? $first->key(), $increments);
    }

    /**
     * @param non-empty-list<int> $places of the items that grow together
     *
     * @return list<Increment>
     */
    private static function increments(Option $option, array $places): array
    {
        $most = max(array_map(static fn (int $at): int => \count($option->items[$at]->growth), $places));
        $increments = [];
        $before = $option->items;
        for ($steps = 1; $steps <= $most; ++$steps) {
            $after = array_map(
                static fn (Item $item, int $at): Item => \in_array($at, $places, true)
                    ? $item->grown($steps)
                    : $item,
                $option->items,
                array_keys($option->items),
            );
            $increments[] = self::between($before, $after);
            $before = $after;
        }

        return $increments;
    }

    /**
     * @param list<Item> $before
     * @param list<Item> $after  the same, some done more often
     */
    private static function between(array $before, array $after): Increment
    {
        $points = $effort = 0;
        foreach ($after as $at => $item) {
            $points += $item->worth - $before[$at]->worth;
            $effort += ($item->seconds() - $before[$at]->seconds()) * $item->rung->load->intensity;
        }

        return new Increment(
            $points,
            (new Sequence($after))->seconds() - (new Sequence($before))->seconds(),
            $effort,
            self::opens($after) - self::opens($before),
        );
    }

    /**
     * Quarter seconds of opening work less those of gripping.
     *
     * @param list<Item> $items
     */
    private static function opens(array $items): int
    {
        $sum = 0;
        foreach ($items as $item) {
            $balance = Balance::from([$item]);
            $sum += (int) round(4 * $balance->extensionSeconds) - (int) round(4 * $balance->flexionSeconds);
        }

        return $sum;
    }

    /** @return non-empty-list<Step> with what each takes behind the one before it, as the search adds to it */
    private function steps(Option $option, bool $free): array
    {
        $steps = [];
        $before = null;
        $counted = [];
        foreach ((new Sequence($option->items))->times() as $i => $seconds) {
            $item = $option->items[$i];
            $home = $item->homeKey();
            $moved = null !== $before && Sequence::changesPosition($before, $item);
            $seconds -= (null === $before ? 0 : Limits::BETWEEN_SECONDS)
                + ($moved ? Limits::POSTURE_CHANGE_SECONDS : 0);
            $steps[] = $this->step(
                $item,
                $free,
                $seconds,
                null !== $home && !isset($counted[$home]),
                growth: self::growth($option, [$i]),
            );
            $counted[(string) $home] = true;
            $before = $item;
        }

        /** @var non-empty-list<Step> $steps an option has an item or more */
        return $steps;
    }

    private function step(
        Item $item,
        bool $free,
        int $seconds,
        bool $counts = false,
        ?Growth $growth = null,
    ): Step {
        $home = $counts ? (string) $item->homeKey() : '';
        $needs = $gives = 0;
        foreach ($free ? [] : $this->rules->needsOf($item) as $need) {
            $needs |= $this->bit('need', $need->key);
        }
        foreach ($this->needs as $key => $need) {
            $gives |= $need->isMetBy($item) ? $this->bit('need', $key) : 0;
        }
        $heavy = 0;
        foreach ($item->isHeavy() ? $item->loadedGroups() : [] as $group) {
            $heavy |= $this->bit('group', $group);
        }
        $area = $this->objective->areaOf($item);
        $balance = Balance::from([$item]);

        return new Step(
            $item,
            $seconds,
            $item->seconds() * $item->rung->load->intensity,
            $item->worth,
            needs: $needs,
            gives: $gives,
            heavy: $heavy,
            posture: $this->posture($item),
            key: ($this->groupsOf[$item->key()] ?? 0) > 1 ? $this->bit('key', $item->key()) : 0,
            area: null === $area ? 0 : $this->bit('area', $area),
            areaPoints: null === $area ? 0 : $this->objective->ofArea($area),
            opens: (int) round(4 * $balance->extensionSeconds),
            grips: (int) round(4 * $balance->flexionSeconds),
            parts: self::partOf($item),
            counts: $counts ? 1 : 0,
            alone: $item->seconds(),
            growth: $growth,
            homeKey: $this->isCountedByHalves($home) ? $this->bit('home', $home) : 0,
        );
    }

    /** Two groups could bring it, each with an item of its own: one that both could bring comes in only once. */
    private function isCountedByHalves(string $home): bool
    {
        return ($this->groupsOfHome[$home] ?? 0) > 1 && \count($this->itemsOfHome[$home] ?? []) > 1;
    }

    private static function partOf(Item $item): int
    {
        return match (true) {
            $item->isPause => 0,
            $item->isWarmUp() => Step::WARM_UP,
            $item->isCoolDown() => Step::CLOSING,
            default => Step::WORK,
        };
    }

    private function posture(Item $item): int
    {
        return $this->postures[$item->rung->sitting->posture->value] ??= \count($this->postures) + 1;
    }

    private function bit(string $kind, string $name): int
    {
        if (!isset($this->bits[$kind.' '.$name])) {
            $this->used[$kind] = ($this->used[$kind] ?? -1) + 1;
            if ($this->used[$kind] > self::LAST_BIT) {
                throw new \LogicException('More kinds of '.$kind.' than a bit set holds.');
            }
            $this->bits[$kind.' '.$name] = 1 << $this->used[$kind];
        }

        return $this->bits[$kind.' '.$name];
    }
}
