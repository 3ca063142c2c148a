<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Objective;
use HandGarden\Core\Routine\OptionGroup;

/**
 * Branch and bound over the groups in sitting order. Exact unless the work runs out, which is counted and never
 * timed; then the bound says how much better a routine could be at most.
 */
final class Search
{
    /** Nodes, and stages that bounds were worked back through: as many as a node takes the time of. */
    private const MOST_WORK = 6_000;
    private const STAGES_A_NODE = 10;
    /** How many partly made sittings the first sweep goes on with. */
    private const FRONT = 8;
    /** Of what several groups could bring, so many are decided first. */
    private const MOST_ASSUMED = 3;
    /** Nodes at which the prices are looked at again. */
    private const LEARN_AT = [20, 100, 300, 800, 2000, 5000];
    private const WHOLE = Step::WARM_UP | Step::CLOSING | Step::WORK;

    /** @var list<Stage> */
    private readonly array $stages;

    private readonly ?Step $pause;

    private readonly Prices $prices;

    private readonly int $effortBudget;

    /** @var array<int, int> the last stage with an item of this part of a sitting */
    private readonly array $lastOf;

    /** @var array{int, int} seconds and effort that the shortest closing item takes at least */
    private readonly array $closing;

    private ?State $best = null;

    /** @var array<string, int> steps of the best one's amounts, by the key of item or chain */
    private array $amounts = [];

    private int $toBeat = \PHP_INT_MIN;

    private int $nodes = 0;

    /** @var array{int, int} seconds and effort that are left for something later */
    private array $reserved = [0, 0];

    /** @var int bits of what is taken to come in */
    private int $in = 0;

    /** @var int bits of what is taken to stay out */
    private int $out = 0;

    private int $unseen = \PHP_INT_MIN;

    /** @param list<OptionGroup> $groups in the order of a sitting */
    public function __construct(
        array $groups,
        Compiler $compiler,
        private readonly Objective $objective,
        private readonly Limits $limits,
        ?Item $pause,
        private readonly int $mostWork = self::MOST_WORK,
    ) {
        $this->stages = $compiler->stages($groups);
        $this->pause = $compiler->pause($pause);
        [$this->lastOf, $this->closing] = self::frame($this->stages);
        $this->effortBudget = (int) floor(60.0 * $limits->effortBudget() + 1e-6);
        $this->prices = new Prices(
            $this->stages,
            $objective->weights,
            $limits->seconds() + Limits::BETWEEN_SECONDS,
            $this->effortBudget,
            homeItems: 2 * $limits->homeItems,
        );
    }

    /**
     * @param ?int $atLeast a value that is known to be possible here, such as that of a shorter sitting: what is
     *    not better is not looked for
     */
    public function best(?int $atLeast = null): ?Found
    {
        $this->best = null;
        $this->amounts = [];
        $this->toBeat = null === $atLeast ? \PHP_INT_MIN : $atLeast - 1;
        $this->nodes = 0;
        $this->prices->work = 0;
        $this->unseen = \PHP_INT_MIN;
        $start = new State();
        $this->sweep($start);
        $this->sweep($start, $this->prize());
        if (null !== $this->best) {
            $this->prices->learn(0, $start, $this->toBeat, ...$this->left($start));
        }
        foreach ($this->assumptions($start) as [$bound, $in, $out]) {
            $this->assume($in, $out);
            $this->walk(0, $start, $bound);
        }
        $this->assume(0, 0);
        $best = $this->best;

        return null === $best
            ? null
            : new Found(
                array_map($this->grown(...), $best->steps()),
                $this->toBeat,
                max($this->toBeat, $this->unseen),
                $this->nodes,
            );
    }

    /**
     * What several groups could bring, such as a letting go, is decided first: what comes in is paid for once, and what
     * stays out keeps out all that has to bring it.
     *
     * @return list<array{int, int, int}> bound, bits of what comes in, bits of what stays out; what promises most first
     */
    private function assumptions(State $start): array
    {
        $bits = \array_slice($this->prices->sharedBits(), 0, self::MOST_ASSUMED);
        $all = array_sum($bits);
        $ways = [];
        for ($nth = 0; $nth < 1 << \count($bits); ++$nth) {
            $in = 0;
            foreach ($bits as $place => $bit) {
                $in |= 0 === ($nth >> $place & 1) ? 0 : $bit;
            }
            $this->assume($in, $all & ~$in);
            $ways[] = [$this->bound(0, $start), $in, $all & ~$in];
        }
        usort($ways, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $ways;
    }

    private function assume(int $in, int $out): void
    {
        $this->prices->assume($in, $out);
        $this->in = $in;
        $this->out = $out;
    }

    private function walk(int $at, State $state, int $bound): void
    {
        if ($bound <= $this->toBeat) {
            return;
        }
        if (++$this->nodes + intdiv($this->prices->work, self::STAGES_A_NODE) > $this->mostWork) {
            $this->unseen = max($this->unseen, $bound);

            return;
        }
        if (!isset($this->stages[$at])) {
            $this->end($state);

            return;
        }
        if (\in_array($this->nodes, self::LEARN_AT, true)) {
            $this->prices->learn($at, $state, $this->toBeat, ...$this->left($state));
            $bound = $this->bound($at, $state);
        }
        foreach ($this->next($at, $state) as [$most, $then]) {
            $this->walk($at + 1, $then, $most);
        }
    }

    /** The stage with the choice that is worth most; null: there is nothing to choose. */
    private function prize(): ?int
    {
        $points = array_column($this->stages, 'points');

        return [] === $points ? null : (int) array_search(max($points), $points, true);
    }

    /**
     * A first good answer, so that the walk has something to beat: stage by stage, going on with the few that
     * promise most.
     *
     * @param ?int $prize a stage of which something has to come in: time is left for it from the beginning
     */
    private function sweep(State $start, ?int $prize = null): void
    {
        $front = [$start];
        $least = null === $prize ? null : $this->stages[$prize]->choices[0];
        foreach (array_keys($this->stages) as $at) {
            $this->reserved = null !== $least && $at < $prize
                ? [$least->seconds + Limits::POSTURE_CHANGE_SECONDS, $least->effort]
                : [0, 0];
            $all = array_merge(...array_map(fn (State $s): array => array_filter(
                $this->next($at, $s),
                static fn (array $n): bool => $at !== $prize || $n[1] !== $s,
            ), $front));
            usort($all, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
            $front = array_column(\array_slice($all, 0, self::FRONT), 1);
        }
        $this->reserved = [0, 0];
        foreach ($front as $state) {
            $this->end($state);
        }
    }

    private function end(State $state): void
    {
        if (self::WHOLE !== $state->parts || 0 !== ($this->in & ~$state->keys)) {
            return;
        }
        [$seconds, $effort] = $this->left($state);
        $amounts = new Amounts(
            $state->growths(),
            $this->prices->sets(),
            $this->objective,
            $state->points,
            toBeat: $this->toBeat,
        );
        $amounts->choose($seconds, $effort, $state->opens - $state->grips);
        if ($amounts->value() > $this->toBeat) {
            $this->best = $state;
            $this->toBeat = $amounts->value();
            $this->amounts = $amounts->steps();
        }
        if (!$amounts->isExact()) {
            $this->unseen = max($this->unseen, $this->bound(\count($this->stages), $state));
        }
    }

    private function grown(Step $step): Item
    {
        return $step->item->grown($this->amounts[$step->item->block ?? $step->item->key()] ?? 0);
    }

    /**
     * @return list<array{int, State}> each way on with its bound, what promises most first; ties keep the order of
     *    the choices
     */
    private function next(int $at, State $state): array
    {
        $next = [];
        foreach ($this->stages[$at]->choices as $choice) {
            $then = $this->with($state, $choice);
            if (null !== $then) {
                $next[] = [$this->bound($at + 1, $then), $then];
            }
        }
        if (!$this->stages[$at]->must) {
            $next[] = [$this->bound($at + 1, $state), $state];
        }
        $next = array_values(array_filter($next, fn (array $n): bool => $n[0] > $this->toBeat));
        usort($next, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $next;
    }

    private function bound(int $at, State $state): int
    {
        foreach ($this->lastOf as $part => $last) {
            if ($at > $last && 0 === ($state->parts & $part)) {
                return \PHP_INT_MIN; // no warm-up, no closing or no work can come any more
            }
        }

        return $this->prices->most($at, $state, $this->toBeat, ...$this->left($state));
    }

    /** @return array{int, int, int} seconds, effort and halves of items that are left */
    private function left(State $state): array
    {
        return [
            $this->limits->seconds() + (
                0 === $state->posture ? Limits::BETWEEN_SECONDS : 0
            ) - $state->seconds,
            $this->effortBudget - $state->effort,
            2 * $this->limits->homeItems - $state->homeHalves,
        ];
    }

    /** The sitting with these items after it; null when a hard rule is against it. */
    private function with(State $state, Choice $choice): ?State
    {
        if (0 !== ($choice->needs & ~$state->gives) || 0 !== ($choice->shared & $this->out)) {
            return null;
        }
        $isClosed = 0 !== (($state->parts | $choice->parts) & Step::CLOSING);
        $mostSeconds = $this->limits->seconds() - ($isClosed ? 0 : $this->closing[0]) - $this->reserved[0];
        $mostEffort = $this->effortBudget - ($isClosed ? 0 : $this->closing[1]) - $this->reserved[1];
        $perMove = $this->objective->weights->position;
        $then = $state->beginning($choice);
        foreach ($choice->steps as $step) {
            if (0 !== ($then->keys & $step->key) || 0 !== ($step->needs & ~$then->gives)) {
                return null; // it stands in the sitting already, or too early
            }
            if (0 !== ($then->heavyBefore & $then->heavyLast & $step->heavy)) {
                if (null === $this->pause) {
                    return null;
                }
                $then->take($this->pause, Limits::BETWEEN_SECONDS, Limits::POSTURE_CHANGE_SECONDS, $perMove);
            }
            $then->take($step, Limits::BETWEEN_SECONDS, Limits::POSTURE_CHANGE_SECONDS, $perMove);
            if ($then->seconds > $mostSeconds || $then->effort > $mostEffort) {
                return null;
            }
            $this->count($step, $then);
        }
        if (
            $then->homeItems > $this->limits->homeItems
            || ($then->frameItems > 2 && $then->frame > $this->limits->frameSeconds())
        ) {
            return null;
        }
        $then->extras = $this->prices->extrasWith($state, $choice);

        return $then;
    }

    /** What a step brings beside its time. */
    private function count(Step $step, State $then): void
    {
        $then->points += $step->worth + (0 === ($then->areas & $step->area) ? $step->areaPoints : 0);
        $then->gives |= $step->gives;
        $then->keys |= $step->key;
        $then->homeItems += 0 === ($then->homeKeys & $step->homeKey) ? $step->counts : 0;
        $then->homeKeys |= $step->homeKey;
        $then->homeHalves += $step->halfItems();
        if (0 !== ($step->parts & (Step::WARM_UP | Step::CLOSING))) {
            $then->frame += $step->alone;
            ++$then->frameItems;
        }
        $then->areas |= $step->area;
        $then->opens += $step->opens;
        $then->grips += $step->grips;
        $then->parts |= $step->parts;
    }

    /**
     * @param list<Stage> $stages
     *
     * @return array{array<int, int>, array{int, int}}
     */
    private static function frame(array $stages): array
    {
        $lastOf = [Step::WARM_UP => -1, Step::CLOSING => -1, Step::WORK => -1];
        $seconds = $effort = \PHP_INT_MAX;
        foreach ($stages as $at => $stage) {
            foreach ($stage->choices as $choice) {
                foreach ($lastOf as $part => $last) {
                    $lastOf[$part] = 0 !== ($choice->parts & $part) ? $at : $last;
                }
                if (0 !== ($choice->parts & Step::CLOSING)) {
                    $seconds = min($seconds, $choice->seconds);
                    $effort = min($effort, $choice->effort);
                }
            }
        }

        return [$lastOf, \PHP_INT_MAX === $seconds ? [0, 0] : [$seconds, $effort]];
    }
}
