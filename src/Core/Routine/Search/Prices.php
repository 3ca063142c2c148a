<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Weights;

/**
 * What the rest of a sitting can bring at most. Seconds, effort, items and the preparation that an item needs are each
 * given a price; at any prices, what is left of them plus what every group gains over its price is a bound (Lagrangian
 * relaxation). A few sets of prices are kept, each found by descent for an amount left.
 */
final class Prices
{
    /** Stage as a share of all, and the shares of seconds, effort and items left there. */
    private const SCENES = [[0.0, 1.0, 1.0, 1.0], [0.4, 0.7, 0.8, 0.65], [0.65, 0.5, 0.6, 0.45]];
    private const STEPS = 30;
    /** From the prices of the scene before. */
    private const STEPS_ON = 16;
    private const STEP = 0.12;
    private const STEP_ON = 0.04;
    /** Of the way to a value that has to be come down to; a little less each time. */
    private const TOWARDS = 1.2;
    private const CALMING = 0.97;
    private const COOLING = 0.94;

    /** @var list<PriceSet> */
    private array $sets = [];

    /** @var array<int, list<float>> what a choice gains by being done more often, by its id, at each set of prices */
    private array $ofChoice = [];

    /** @var list<int> the sets in the order in which they are asked */
    private array $order = [];

    /** @var array<int, array<int, array<int, Outlook>>> by what stays out, by what is given, and by prices */
    private array $outlooks = [];

    /** @var int bits of what is taken to stay out */
    private int $out = 0;

    private readonly int $postures;

    /** Stages worked back through so far, for the count that ends a search. */
    public int $work = 0;

    /** @var array<int, array<int, int>> by stage and what is given: bits of what can still be done before something */
    private array $reach = [];

    /** @var list<int> bits that this stage and those after it need */
    private readonly array $neededFrom;

    private readonly Shared $shared;

    /** @param list<Stage> $stages */
    public function __construct(
        private readonly array $stages,
        private readonly Weights $weights,
        int $seconds,
        int $effort,
        int $homeItems,
    ) {
        $needed = [0];
        $postures = 0;
        foreach ($stages as $stage) {
            foreach ($stage->choices as $choice) {
                $postures = max(
                    $postures,
                    ...array_map(static fn (Step $s): int => $s->posture, $choice->steps),
                );
            }
        }
        $this->postures = $postures;
        for ($i = \count($stages) - 1; $i >= 0; --$i) {
            array_unshift($needed, $needed[0] | $stages[$i]->needs);
        }
        $this->neededFrom = $needed;
        $this->shared = new Shared($stages);
        foreach (self::SCENES as [$from, $ofSeconds, $ofEffort, $ofItems]) {
            $at = (int) ($from * \count($stages));
            $this->sets[] = $this->descend(
                $at,
                $this->sets[array_key_last($this->sets) ?? -1] ?? null,
                [$ofSeconds * $seconds, $ofEffort * $effort, $ofItems * $homeItems],
            );
            array_unshift($this->order, \count($this->sets) - 1);
        }
    }

    /**
     * Points at most of any sitting that begins so; the least integer when what must come in no longer can. As soon as
     * one set of prices shows that it beats nothing, the others are not asked.
     */
    public function most(
        int $stage,
        State $state,
        int $toBeat,
        int $seconds,
        int $effort,
        int $homeItems,
    ): int {
        if ($this->shared->isLost($stage, $state->keys)) {
            return \PHP_INT_MIN;
        }
        $gives = $state->gives & $this->neededFrom[$stage];
        $reach = $this->reach($stage, $gives);
        $place = Outlook::place(
            $state->posture,
            0 !== (($this->stages[$stage]->area ?? 0) & $state->areas),
            0 !== ($state->parts & Step::CLOSING),
        );
        $shared = $this->shared->gains(
            $this->shared->open($stage, $state->keys, $reach),
            $state->areas,
            $this->sets,
        );
        $extras = $this->extras($state);
        $out = $this->out | $this->shared->alreadyTaken($stage, $state->keys);
        $limit = $toBeat + 1.0 - 1e-6 - $state->points;
        $least = \INF;
        foreach ($this->order as $at => $i) {
            $set = $this->sets[$i];
            $paid = $gives & $set->bits;
            $outlook = $this->outlooks[$out][$paid][$i] ??= new Outlook(
                $this->stages,
                $set,
                $paid,
                $this->reach(0, 0),
                postures: $this->postures,
                pointsPerMove: $this->weights->position,
                out: $out,
            );
            $this->work += $outlook->reachTo($stage);
            $most = $outlook->from($stage, $place)
                + $shared[$i]
                + $extras[$i]
                + $set->perSecond * $seconds
                + $set->perEffort * $effort
                + $set->perItem * $homeItems
                + $set->perOpening * ($state->opens - $state->grips);
            if ($most < $least) {
                $least = $most;
                if ($most < $limit) {
                    if ($at > 0) { // what showed it here is likely to show it next
                        array_splice($this->order, $at, 1);
                        array_unshift($this->order, $i);
                    }
                    break;
                }
            }
        }

        return -\INF === $least ? \PHP_INT_MIN : $state->points + (int) floor($least + 1e-6);
    }

    /**
     * What the items of a sitting can gain by being done more often, at each set of prices.
     *
     * @return list<float>
     */
    public function extras(State $state): array
    {
        $extras = $state->extras;
        $count = \count($this->sets);
        for ($i = \count($extras); $i < $count; ++$i) {
            $extras[] = self::gain($growths ??= $state->growths(), $this->sets[$i]);
        }

        return $extras;
    }

    /**
     * The same after one more choice.
     *
     * @return list<float>
     */
    public function extrasWith(State $state, Choice $choice): array
    {
        $extras = $this->extras($state);
        if ([] === $choice->growths) {
            return $extras;
        }
        $id = spl_object_id($choice);
        $known = $this->ofChoice[$id] ?? [];
        for ($i = \count($known); $i < \count($this->sets); ++$i) {
            $known[] = self::gain($choice->growths, $this->sets[$i]);
        }
        $this->ofChoice[$id] = $known;

        $sums = [];
        foreach ($extras as $i => $gain) {
            $sums[] = $gain + $known[$i];
        }

        return $sums;
    }

    /**
     * Of what several groups could bring: from now on these come in, at their price, and those do not.
     *
     * @param int $in  bits
     * @param int $out bits
     */
    public function assume(int $in, int $out): void
    {
        $this->shared->assume($in, $out);
        $this->out = $out;
    }

    /** @return list<int> bits of what several groups could bring */
    public function sharedBits(): array
    {
        return $this->shared->bits();
    }

    /** @return list<PriceSet> */
    public function sets(): array
    {
        return $this->sets;
    }

    /** @param list<Growth> $growths */
    private static function gain(array $growths, PriceSet $set): float
    {
        $gain = 0.0;
        foreach ($growths as $growth) {
            $gain += $growth->over($set);
        }

        return $gain;
    }

    /**
     * Prices for what is left at a place where the search is held up.
     *
     * @param int $toBeat points that the whole sitting has to exceed: where the bound comes down to them, the
     *     place is done with
     */
    public function learn(
        int $stage,
        State $state,
        int $toBeat,
        int $seconds,
        int $effort,
        int $homeItems,
    ): void {
        $gives = $state->gives & $this->neededFrom[$stage];
        $this->sets[] = $this->descend(
            $stage,
            null,
            [(float) $seconds, (float) $effort, (float) $homeItems],
            given: $gives,
            state: $state,
            target: (float) ($toBeat - $state->points),
        );
        array_unshift($this->order, \count($this->sets) - 1);
        $this->shared->forget();
    }

    /** What is given, and what choices give whose own needs can be met in turn. */
    private function reach(int $stage, int $gives): int
    {
        if (!isset($this->reach[$stage][$gives])) {
            $reach = $gives;
            for ($i = $stage; isset($this->stages[$i]); ++$i) {
                foreach ($this->stages[$i]->choices as $choice) {
                    $reach |= 0 === ($choice->needs & ~$reach) ? $choice->gives : 0;
                }
            }
            $this->reach[$stage][$gives] = $reach & $this->neededFrom[$stage];
        }

        return $this->reach[$stage][$gives];
    }

    /**
     * Prices at which the bound from this stage on is low, by subgradient steps that grow shorter: what is asked
     * for too much at its price becomes dearer, what is left over cheaper.
     *
     * @param array{float, float, float} $left seconds, effort, items at home
     */
    private function descend(
        int $stage,
        ?PriceSet $start,
        array $left,
        ?int $given = null,
        State $state = new State(),
        ?float $target = null,
    ): PriceSet {
        $reach = null === $given ? $this->reach(0, 0) : $this->reach($stage, $given);
        $gives = $given ?? (0 === $stage ? 0 : $reach); // later on, what is needed is taken as done
        $best = $set = $start ?? new PriceSet(0.0, 0.0, 0.0);
        $least = \INF;
        $step = (null === $start ? self::STEP : self::STEP_ON) * array_sum(
            array_column(\array_slice($this->stages, $stage), 'points'),
        );
        $shared = $this->shared->open($stage, $state->keys, $reach);
        $growths = $state->growths();
        $towards = self::TOWARDS;
        for ($i = 0; $i < (null === $start ? self::STEPS : self::STEPS_ON); ++$i) {
            $column = Column::from($this->stages, $set, $gives, $reach, downTo: $stage);
            $bound = $column->gain
                + self::gain($growths, $set)
                + $this->shared->gain($shared, 0, $set)
                + $set->perSecond * $left[0]
                + $set->perEffort * $left[1]
                + $set->perItem * $left[2];
            if ($bound < $least) {
                [$best, $least] = [$set, $bound];
            }
            if (null !== $target) { // how far it has to come down says how long a step is
                if ($bound <= $target) {
                    break;
                }
                $step = $towards * ($bound - $target);
                $towards *= self::CALMING;
            }
            $set = $this->next(
                $set,
                $column,
                $this->shared->taken($shared, $set),
                [max(1.0, $left[0]), max(1.0, $left[1]), max(1.0, $left[2])],
                step: $step,
                withNeeds: $gives !== $reach,
            );
            $step *= self::COOLING;
        }

        return $best;
    }

    /**
     * @param array{int, int, int, int}  $shared what the shared items take: see `Shared::taken`
     * @param array{float, float, float} $left
     */
    private function next(
        PriceSet $set,
        Column $column,
        array $shared,
        array $left,
        float $step,
        bool $withNeeds,
    ): PriceSet {
        $opens = 0;
        [$seconds, $effort, $items, $bits] = $shared;
        $brought = []; // by bit: how often a group brings it, less one where it comes in
        foreach ($this->shared->bits() as $bit) {
            $brought[$bit] = 0 === ($bits & $bit) ? 0 : -1;
        }
        $done = []; // by place: how many of the taken give it
        $short = [];
        $norm = 0.0;
        foreach ($this->stages as $i => $stage) {
            $choice = $column->taken[$i] ?? null;
            if (null !== $choice) {
                $seconds += $choice->seconds;
                $effort += $choice->effort;
                $items += $choice->ownItems;
                foreach ($choice->sharedBits as $bit) {
                    ++$brought[$bit];
                }
                $opens += $choice->opens;
                foreach ($choice->ownGrowths as $growth) {
                    $more = $growth->taken($set);
                    $seconds += $more[0];
                    $effort += $more[1];
                    $opens += $more[2];
                }
            }
            foreach ($withNeeds ? $stage->choices[0]->needPlaces : [] as $place) {
                $short[$i][$place] = (
                    null !== $choice && 0 !== ($choice->needs >> $place & 1) ? 1 : 0
                ) - ($done[$place] ?? 0);
                if ($short[$i][$place] > 0 || ($set->needs[$i][$place] ?? 0.0) > 0.0) {
                    $norm += $short[$i][$place] ** 2;
                }
            }
            foreach ($choice->givePlaces ?? [] as $place) {
                $done[$place] = ($done[$place] ?? 0) + 1;
            }
        }
        // budgets are counted in eighths, so that a step means about as much for each price
        $over = array_map(
            static fn (int $t, float $l): float => 8.0 * ($t / $l - 1.0),
            [$seconds, $effort, $items],
            $left,
        );
        foreach ([$set->perSecond, $set->perEffort, $set->perItem] as $i => $price) {
            $norm += $over[$i] > 0.0 || $price > 0.0 ? $over[$i] ** 2 : 0.0;
        }
        foreach ($brought as $surplus) {
            $norm += $surplus ** 2;
        }
        $by = $step / max(1.0, $norm);
        $prices = [];
        foreach ($brought as $bit => $surplus) {
            $prices[$bit] = ($set->shared[$bit] ?? 0.0) - $by * $surplus;
        }
        $needs = [];
        foreach ($short as $i => $places) {
            foreach ($places as $place => $missing) {
                $price = max(0.0, ($set->needs[$i][$place] ?? 0.0) + $by * $missing);
                if ($price > 0.0) {
                    $needs[$i][$place] = $price;
                }
            }
        }

        return new PriceSet(
            max(0.0, $set->perSecond + $by * $over[0] * 8.0 / $left[0]),
            max(0.0, $set->perEffort + $by * $over[1] * 8.0 / $left[1]),
            max(0.0, $set->perItem + $by * $over[2] * 8.0 / $left[2]),
            min($this->weights->balance / 40.0, max(0.0, $set->perOpening - $by * $opens / 1600.0)),
            needs: $needs,
            shared: $prices,
        );
    }
}
