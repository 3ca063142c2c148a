<?php

declare(strict_types=1);

namespace HandGarden\Bench;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\OptionGroup;
use HandGarden\Core\Routine\Routine;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Routine\TaskChoice;

/** What many routines are like: minutes used, active or lengthening time, focus, task, frame, and what binds. */
final class Rubric
{
    private const WORK = [EffortClass::Practice, EffortClass::Strength, EffortClass::Task];

    /** @var list<float> share of the minutes */
    private array $used = [];

    /** @var list<float> share of the minutes where nothing could be added */
    private array $usedUnbound = [];

    /** @var list<float> share of the moving and holding time */
    private array $work = [];

    /** @var array<string, int> */
    private array $counts = ['empty' => 0, 'focus' => 0, 'of focus' => 0, 'task' => 0, 'frame' => 0, 'kept' => 0];

    /** @var array<string, int> routines by what binds them */
    private array $binds = [];

    public function __construct(
        private readonly Catalogue $catalogue,
    ) {
    }

    public function routines(): int
    {
        return \count($this->used);
    }

    public function empty(): void
    {
        ++$this->counts['empty'];
    }

    /** @param list<OptionGroup> $groups everything that could have come in */
    public function add(Routine $routine, Brief $brief, array $groups, SittingRules $rules): void
    {
        $items = $routine->sequence->items;
        $share = $routine->sequence->seconds() / $brief->limits->seconds();
        $this->used[] = $share;
        $bound = $this->bound($items, $groups, $rules, $brief);
        $this->binds[$bound] = ($this->binds[$bound] ?? 0) + 1;
        if (\in_array($bound, ['time', 'nothing'], true)) {
            $this->usedUnbound[] = $share;
        }
        $this->work[] = self::workShare($items);
        $this->focus($items, $brief);
        $this->counts['task'] += $this->endsInTask($routine, $brief) ? 1 : 0;
        $this->counts['frame'] += self::isFrameShort($items, $brief) ? 1 : 0;
        $this->counts['kept'] += [] === $rules->broken($items) ? 1 : 0;
    }

    /** @param list<Item> $items */
    private static function isFrameShort(array $items, Brief $brief): bool
    {
        $frame = array_filter(
            $items,
            static fn (Item $i): bool => $i->isFrame(),
        );
        $seconds = array_map(
            static fn (Item $i): int => $i->seconds(),
            $frame,
        );

        return \count($frame) <= 2
            || array_sum($seconds) <= $brief->limits->frameSeconds();
    }

    /** @return list<string> */
    public function lines(): array
    {
        $all = $this->routines();
        $percent = static fn (int $part, int $of): string => \sprintf(
            '%.1f %%',
            100 * $part / max(1, $of),
        );
        $lines = [
            \sprintf('%d routines, %d more clients had none', $all, $this->counts['empty']),
            'minutes used                median '.self::at($this->used, 0.5).', tenth '.self::at(
                $this->used,
                0.1,
            ),
            \sprintf(
                '%-27s median %s, tenth %s, of %d',
                'where no other limit binds',
                self::at($this->usedUnbound, 0.5),
                self::at($this->usedUnbound, 0.1),
                \count($this->usedUnbound),
            ),
            'active or lengthening       median '.self::at($this->work, 0.5).', tenth '.self::at(
                $this->work,
                0.1,
            ),
            \sprintf(
                '%-27s %s',
                'focus ladders covered',
                $percent(
                    $this->counts['focus'],
                    $this->counts['of focus'],
                ),
            ),
            \sprintf(
                '%-27s %s',
                'task, or its missing skill',
                $percent(
                    $this->counts['task'],
                    $all,
                ),
            ),
            \sprintf(
                '%-27s %s',
                'frame within its rule',
                $percent(
                    $this->counts['frame'],
                    $all,
                ),
            ),
            \sprintf('%-27s %s', 'every hard rule kept', $percent($this->counts['kept'], $all)),
        ];
        arsort($this->binds);
        foreach ($this->binds as $what => $count) {
            $lines[] = 'bound by '.str_pad($what, 18).' '.$percent($count, $all);
        }

        return $lines;
    }

    /**
     * Tries to do one item once more, or to bring in one more group somewhere: the first rule that is against all of
     * these ways binds.
     *
     * @param list<Item>        $items
     * @param list<OptionGroup> $groups
     */
    private function bound(array $items, array $groups, SittingRules $rules, Brief $brief): string
    {
        $broken = [];
        foreach ($items as $at => $item) {
            $more = $item->rung->dosing->stepped($item->dose, 1);
            if ($more->isAtMost($item->dose)) {
                continue;
            }
            $codes = $this->codes(
                [...\array_slice($items, 0, $at), $item->withDose($more), ...\array_slice($items, $at + 1)],
                $rules,
            );
            if ([] === $codes) {
                return 'nothing';
            }
            array_push($broken, ...$codes);
        }
        $keys = array_map(static fn (Item $i): string => $i->key(), $items);
        foreach ($groups as $group) {
            $new = $group->options[array_key_last($group->options)]->items;
            if ([] !== array_intersect(array_map(static fn (Item $i): string => $i->key(), $new), $keys)) {
                continue;
            }
            $codes = $this->codes(
                [...\array_slice($items, 0, -1), ...$new, ...\array_slice($items, -1)],
                $rules,
            );
            if ([] === $codes) {
                return 'nothing';
            }
            array_push($broken, ...$codes);
        }
        $counts = array_count_values($broken);
        foreach (['over-time' => 'time', 'over-effort' => 'effort', 'too-many-items' => 'items'] as $code => $name) {
            if (isset($counts[$code])) {
                return $name;
            }
        }

        return [] === $counts ? 'candidates' : 'other rules';
    }

    /**
     * @param list<Item> $items
     *
     * @return list<string>
     */
    private function codes(array $items, SittingRules $rules): array
    {
        return array_map(
            static fn ($broken): string => $broken->code,
            $rules->broken($items),
        );
    }

    /** @param list<Item> $items */
    private static function workShare(array $items): float
    {
        $work = $all = 0;
        foreach ($items as $item) {
            $seconds = $item->isPause ? 0 : $item->dose->workSeconds() * $item->hands->sides();
            $all += $seconds;
            $isWork = \in_array($item->rung->load->class, self::WORK, true)
                || $item->rung->demands->purpose->isKeepingLong();
            $work += $isWork ? $seconds : 0;
        }

        return $work / max(1, $all);
    }

    /** @param list<Item> $items */
    private function focus(array $items, Brief $brief): void
    {
        foreach ((new Candidates($this->catalogue, $brief))->focus() as [$placed]) {
            ++$this->counts['of focus'];
            foreach ($items as $item) {
                $isOfIt = null !== $placed->ladder->positionOf($item->rung->id) && $item->covers(
                    $placed->side,
                );
                if ($isOfIt) {
                    ++$this->counts['focus'];
                    break;
                }
            }
        }
    }

    private function endsInTask(Routine $routine, Brief $brief): bool
    {
        $known = new KnownFacts(
            $brief->facts,
            $this->catalogue->vocabulary,
            $brief->today,
        );
        $today = (new TaskChoice($this->catalogue, $brief->facts, $known))->of($brief->goals);
        $hasTask = [] !== array_filter(
            $routine->sequence->items,
            static fn (Item $i): bool => 'variant.task' === $i->variant?->code,
        );

        return null === $today || null === $today->part || $hasTask;
    }

    /** @param list<float> $values */
    private static function at(array $values, float $share): string
    {
        sort($values);
        $value = $values[(int) ($share * (\count($values) - 1))] ?? 0.0;

        return \sprintf('%.0f %%', 100 * $value);
    }
}
