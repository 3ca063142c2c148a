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
    public const MOST_WORK = 5_000;
    private const STAGES_A_NODE = 10;
    /** How many partly made sittings the first sweep goes on with. */
    private const FRONT = 4;
    /** Of what several groups could bring, so many are decided first. */
    private const MOST_ASSUMED = 3;
    /** Nodes at which the prices are looked at again. */
    private const LEARN_AT = [20, 100, 300, 800, 2000, 5000];

    private readonly Making $making;

    private Best $best;

    private int $nodes = 0;

    /** @param list<OptionGroup> $groups in the order of a sitting */
    public function __construct(
        array $groups,
        Compiler $compiler,
        private readonly Objective $objective,
        Limits $limits,
        ?Item $pause,
        private readonly int $mostWork = self::MOST_WORK,
    ) {
        $this->making = new Making(
            $compiler->stages($groups),
            $limits,
            $compiler->pause($pause),
            $objective->weights,
        );
    }

    /**
     * @param ?int $atLeast a value that is known to be possible here, such as that of a shorter sitting: what is
     *    not better is not looked for
     */
    public function best(?int $atLeast = null): ?Found
    {
        $this->best = new Best($this->making, $this->objective, $atLeast);
        $this->nodes = 0;
        $this->making->prices->work = 0;
        $start = new State();
        $this->sweep($start);
        $this->sweep($start, $this->prize());
        if (null !== $this->best->state()) {
            $this->making->learn(0, $start, $this->best->toBeat());
            (new Polish($this->making, $this->best))->improve($this->bound(0, $start));
        }
        foreach ($this->assumptions($start) as [$bound, $in, $out]) {
            $this->making->assume($in, $out);
            if ($bound > $this->best->toBeat() && $this->work() < $this->mostWork) {
                $this->making->learn(0, $start, $this->best->toBeat());
                $bound = $this->bound(0, $start);
            }
            $this->walk(0, $start, $bound);
        }
        $this->making->assume(0, 0);

        return $this->best->found($this->nodes);
    }

    /**
     * What several groups could bring, such as a letting go, is decided first: what comes in is paid for once, and what
     * stays out keeps out all that has to bring it.
     *
     * @return list<array{int, int, int}> bound, bits of what comes in, bits of what stays out; what promises most first
     */
    private function assumptions(State $start): array
    {
        $bits = \array_slice($this->making->prices->sharedBits(), 0, self::MOST_ASSUMED);
        $all = array_sum($bits);
        $ways = [];
        for ($nth = 0; $nth < 1 << \count($bits); ++$nth) {
            $in = 0;
            foreach ($bits as $place => $bit) {
                $in |= 0 === ($nth >> $place & 1) ? 0 : $bit;
            }
            $this->making->assume($in, $all & ~$in);
            $ways[] = [$this->bound(0, $start), $in, $all & ~$in];
        }
        usort($ways, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $ways;
    }

    private function work(): int
    {
        return $this->nodes + intdiv($this->making->prices->work, self::STAGES_A_NODE);
    }

    private function walk(int $at, State $state, int $bound): void
    {
        if ($bound <= $this->best->toBeat()) {
            return;
        }
        ++$this->nodes;
        if ($this->work() > $this->mostWork) {
            $this->best->missed($bound);

            return;
        }
        if (!isset($this->making->stages[$at])) {
            $this->best->offer($state);

            return;
        }
        if (\in_array($this->nodes, self::LEARN_AT, true)) {
            $this->making->learn($at, $state, $this->best->toBeat());
            $bound = $this->bound($at, $state);
        }
        foreach ($this->next($at, $state) as [$most, $then]) {
            $this->walk($at + 1, $then, $most);
        }
    }

    /** The stage with the choice that is worth most; null: there is nothing to choose. */
    private function prize(): ?int
    {
        $points = array_column($this->making->stages, 'points');

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
        foreach (array_keys($this->making->stages) as $at) {
            $this->making->reserve(
                null !== $prize && $at < $prize ? $this->making->stages[$prize]->choices[0] : null,
            );
            $all = array_merge(...array_map(fn (State $s): array => array_filter(
                $this->next($at, $s),
                static fn (array $n): bool => $at !== $prize || $n[1] !== $s,
            ), $front));
            usort($all, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
            $front = array_column(\array_slice($all, 0, self::FRONT), 1);
        }
        $this->making->reserve(null);
        foreach ($front as $state) {
            $this->best->offer($state);
        }
    }

    /**
     * @return list<array{int, State}> each way on with its bound, what promises most first; ties keep the order of
     *    the choices
     */
    private function next(int $at, State $state): array
    {
        $next = [];
        foreach ($this->making->stages[$at]->choices as $choice) {
            $then = $this->making->with($state, $choice);
            if ($then instanceof State) {
                $next[] = [$this->bound($at + 1, $then), $then];
            }
        }
        if (!$this->making->stages[$at]->must) {
            $next[] = [$this->bound($at + 1, $state), $state];
        }
        $next = array_values(array_filter($next, fn (array $n): bool => $n[0] > $this->best->toBeat()));
        usort($next, static fn (array $a, array $b): int => $b[0] <=> $a[0]);

        return $next;
    }

    private function bound(int $at, State $state): int
    {
        return $this->making->most($at, $state, $this->best->toBeat());
    }
}
