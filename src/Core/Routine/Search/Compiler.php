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
        foreach ($groups as $group) {
            $keys = [];
            foreach ($group->options as $option) {
                foreach ($option->items as $item) {
                    $keys[$item->key()] = true;
                    foreach ($this->rules->needsOf($item) as $need) {
                        $this->needs[$need->key] ??= $need;
                    }
                }
            }
            foreach (array_keys($keys) as $key) {
                $this->groupsOf[$key] = ($this->groupsOf[$key] ?? 0) + 1;
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
        $choices = array_map(fn (Option $o): Choice => new Choice(
            $this->steps($o, $free),
            (new Sequence($o->items))->homeItems(),
            $area,
            $this->objective->weights->position,
        ), $group->options);

        return new Stage($choices, $group->must, $area, $points, closes: $closes);
    }

    /** @return non-empty-list<Step> with what each takes behind the one before it, as the search adds to it */
    private function steps(Option $option, bool $free): array
    {
        $steps = [];
        $before = null;
        foreach ((new Sequence($option->items))->times() as $i => $seconds) {
            $item = $option->items[$i];
            $steps[] = $this->step($item, $free, $seconds - match (true) {
                null === $before => 0,
                Sequence::changesPosition(
                    $before,
                    $item,
                ) => Limits::BETWEEN_SECONDS + Limits::POSTURE_CHANGE_SECONDS,
                default => Limits::BETWEEN_SECONDS,
            });
            $before = $item;
        }

        /** @var non-empty-list<Step> $steps an option has an item or more */
        return $steps;
    }

    private function step(Item $item, bool $free, int $seconds): Step
    {
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
        );
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
