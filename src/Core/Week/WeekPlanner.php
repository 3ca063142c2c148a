<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Words\Phrase;

/**
 * Spreads a routine over a week: training days as evenly as busy times allow, what stretches and calms on the
 * other days as
 * well, strength never on two days running, helper items only while the helper is there. What does not fit is said.
 */
final readonly class WeekPlanner
{
    /** Minutes of rest between two sittings of a day. */
    private const APART = 60;
    private const MOST_STRENGTH_DAYS = 4;

    public function __construct(
        private Catalogue $catalogue,
        private SittingRules $rules,
    ) {
    }

    public function plan(WeekInput $input): Week
    {
        $seconds = (new Sequence($input->items))->seconds();
        $free = $helped = [];
        for ($weekday = 0; $weekday < 7; ++$weekday) {
            if ([] !== $this->slots($input, $weekday, $seconds, false)) {
                $free[] = $weekday;
            }
            if ([] !== $this->slots($input, $weekday, $seconds, self::needsHelper($input->items))) {
                $helped[] = $weekday;
            }
        }
        $training = self::spread($free, $helped, $input->daysPerWeek);
        $conflicts = \count($training) < $input->daysPerWeek
            ? [
                new Phrase(
                    'week.few_days',
                    ['room' => \count($training), 'wanted' => $input->daysPerWeek],
                ),
            ]
            : [];
        $strength = $this->strengthDays($input, $training);
        if (
            [] !== array_filter(
                $input->items,
                static fn (Item $i): bool => EffortClass::Strength === $i->rung->load->class,
            )
            && \count($strength) < min(3, \count($training))
        ) {
            $conflicts[] = new Phrase('week.few_strength_days', ['days' => \count($strength)]);
        }
        $days = [];
        for ($weekday = 0; $weekday < 7; ++$weekday) {
            $nth = array_search($weekday, $training, true);
            $list = [] === $input->others || false === $nth ? null : DayList::nth($nth);
            $days[] = $this->day(
                $input,
                $weekday,
                $list,
                isTraining: false !== $nth,
                withStrength: \in_array($weekday, $strength, true),
            );
        }

        return new Week($days, $conflicts);
    }

    private function day(
        WeekInput $input,
        int $weekday,
        ?DayList $list,
        bool $isTraining,
        bool $withStrength,
    ): PlannedDay {
        $wanted =
            array_values(
                array_filter(
                    $input->itemsOf($list),
                    fn (Item $i): bool => match (Frequency::for(
                        $i,
                        $this->catalogue->ladderOf($i->rung->id)->strand,
                        $input->isInBlock($weekday),
                    )) {
                        Frequency::Daily => true,
                        Frequency::TrainingDays => $isTraining,
                        Frequency::EverySecondDay => $isTraining && $withStrength,
                    },
                ),
            );
        $conflicts = [];
        $wanted = $this->legal($wanted, $conflicts);
        if (
            !$isTraining
            && [] === array_filter(
                $wanted,
                static fn (Item $i): bool => EffortClass::Calm !== $i->rung->load->class,
            )
        ) {
            $wanted = []; // a warm-up alone is no reason to sit down
        }
        if ([] === $wanted) {
            return new PlannedDay(
                $input->day($weekday),
                [],
                [],
                $isTraining,
                conflicts: $conflicts,
                list: $list,
            );
        }
        $slots = $this->slots(
            $input,
            $weekday,
            (new Sequence($wanted))->seconds(),
            self::needsHelper($wanted),
        );
        if ([] === $slots) {
            $alone = array_values(
                array_filter($wanted, static fn (Item $i): bool => !self::isForHelper($i)),
            );
            foreach (array_filter($wanted, self::isForHelper(...)) as $item) {
                $conflicts[] = new Phrase('week.helper_away', ['item' => $item->rung->name]);
            }
            $wanted = \count($alone) === \count($wanted) ? $wanted : $this->legal($alone, $conflicts);
            $slots = [] === $wanted
                ? []
                : $this->slots($input, $weekday, (new Sequence($wanted))->seconds(), false);
        }
        if ([] === $slots) {
            return new PlannedDay(
                $input->day($weekday),
                [],
                [],
                $isTraining,
                conflicts: [...$conflicts, new Phrase('week.no_time')],
                list: $list,
            );
        }

        if (\count($slots) < $input->sittings) {
            $conflicts[] = new Phrase(
                'week.few_sittings',
                ['room' => \count($slots), 'wanted' => $input->sittings],
            );
        }

        return new PlannedDay(
            $input->day($weekday),
            $slots,
            $wanted,
            $isTraining,
            conflicts: $conflicts,
            list: $list,
        );
    }

    /**
     * Leaving one item out may take from another what it needs before it: that one goes too, and is named.
     *
     * @param list<Item>   $items
     * @param list<Phrase> $conflicts
     *
     * @return list<Item>
     */
    private function legal(array $items, array &$conflicts): array
    {
        do {
            $first = $this->firstBroken($items);
            $at = $first?->item;
            if (null !== $first && null !== $at) {
                $conflicts[] = $first->words;
                unset($items[$at]);
                $items = array_values($items);
            }
        } while (null !== $at && [] !== $items);

        return $items;
    }

    /** @param list<Item> $items */
    private function firstBroken(array $items): ?BrokenRule
    {
        $first = null;
        foreach ($this->rules->broken($items) as $rule) {
            if (null !== $rule->item && $rule->item < ($first->item ?? \PHP_INT_MAX)) {
                $first = $rule;
            }
        }

        return $first;
    }

    /** @return list<Slot> in the order of the day: as many as are wanted and there is room for, an hour apart */
    private function slots(WeekInput $input, int $weekday, int $seconds, bool $withHelper): array
    {
        $minutes = max(1, (int) ceil($seconds / 60));
        $found = [];
        foreach (Times::from($input) as $start) {
            if ($start + $minutes > 1440 || \count($found) >= $input->sittings) {
                continue;
            }
            $slot = new Slot($start, $start + $minutes);
            $isFree = [] === array_filter($input->busy[$weekday] ?? [], $slot->overlaps(...))
                && [] === array_filter($found, static fn (Slot $s): bool => $slot->isNear($s, self::APART));
            $isHelped = !$withHelper
                || null === $input->helper
                || [] !== array_filter(
                    $input->helper[$weekday] ?? [],
                    static fn (Slot $h): bool => $h->holds($slot),
                );
            if ($isFree && $isHelped) {
                $found[] = $slot;
            }
        }
        usort($found, static fn (Slot $a, Slot $b): int => $a->from <=> $b->from);

        return $found;
    }

    /**
     * @param list<int> $training
     *
     * @return list<int>
     */
    private function strengthDays(WeekInput $input, array $training): array
    {
        $days = [];
        $last = null === $input->lastStrength
            ? \PHP_INT_MIN
            : (int) $input->monday->diff($input->lastStrength)->format('%r%a');
        foreach ($training as $weekday) {
            if ($weekday - $last >= 2 && \count($days) < self::MOST_STRENGTH_DAYS) {
                $days[] = $last = $weekday;
            }
        }

        return $days;
    }

    /**
     * The days that lie furthest apart, round the week, rather with the helper than without; of equal ones the
     * earliest.
     *
     * @param list<int> $free
     * @param list<int> $helped
     *
     * @return list<int>
     */
    private static function spread(array $free, array $helped, int $wanted): array
    {
        $wanted = min($wanted, \count($free));
        $best = [];
        $bestScore = null;
        for ($mask = 1; $mask < 128; ++$mask) {
            $days = array_values(
                array_filter($free, static fn (int $d): bool => 0 !== ($mask & (1 << $d))),
            );
            if (
                \count($days) !== $wanted
                || $mask !== array_sum(array_map(static fn (int $d): int => 1 << $d, $days))
            ) {
                continue;
            }
            $crowding = 4 * \count(array_diff($days, $helped));
            $run = $longest = 1;
            foreach ($days as $i => $day) {
                $next = $days[$i + 1] ?? $days[0] + 7;
                $crowding += ($next - $day) ** 2; // equal gaps give the least sum of squares
                $run = $next === $day + 1 ? $run + 1 : 1;
                $longest = max($longest, $run);
            }
            if (null === $bestScore || [$crowding, $longest, $days] < $bestScore) {
                $bestScore = [$crowding, $longest, $days];
                $best = $days;
            }
        }

        return $best;
    }

    /** @param list<Item> $items */
    private static function needsHelper(array $items): bool
    {
        return [] !== array_filter($items, self::isForHelper(...));
    }

    private static function isForHelper(Item $item): bool
    {
        return [] === array_intersect(
            array_map(static fn (Performer $p): string => $p->value, $item->rung->fit->performers),
            [Performer::ClientAlone->value, Performer::OwnOtherHand->value],
        );
    }
}
