<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Objective;

/**
 * How often each item of a whole sitting is done: the amounts that bring most in the time and effort that are left.
 * Exact by branch and bound over the steps of each item, unless the work runs out.
 */
final class Amounts
{
    private const MOST_WORK = 4_000;

    /** @var list<Growth> what brings most for its time first */
    private readonly array $growths;

    /** @var list<list<float>> gain over the price of this growth and those after it, by set of prices */
    private readonly array $suffix;

    private int $best;

    /** @var list<int> steps of each growth */
    private array $steps = [];

    private bool $isExact = true;

    private int $work = 0;

    /**
     * @param list<Growth>   $growths
     * @param list<PriceSet> $sets
     */
    public function __construct(
        array $growths,
        private readonly array $sets,
        private readonly Objective $objective,
        private readonly int $points,
        int $toBeat,
    ) {
        usort($growths, static fn (Growth $a, Growth $b): int => self::density($b) <=> self::density($a));
        $this->growths = $growths;
        $suffix = [array_fill(0, \count($sets), 0.0)];
        foreach (array_reverse($growths) as $growth) {
            array_unshift($suffix, array_map(
                static fn (PriceSet $set, float $after): float => $after + $growth->over($set),
                $sets,
                $suffix[0],
            ));
        }
        $this->suffix = $suffix;
        $this->best = $toBeat;
    }

    /** @param int $opens quarter seconds of opening work less those of gripping */
    public function choose(int $seconds, int $effort, int $opens): void
    {
        $this->from(0, $this->points, $seconds, $effort, opens: $opens, taken: []);
    }

    /** Points of the whole sitting; no more than what was to beat when nothing beats it. */
    public function value(): int
    {
        return $this->best;
    }

    public function isExact(): bool
    {
        return $this->isExact;
    }

    /** @return array<string, int> steps by the key of a growth */
    public function steps(): array
    {
        $steps = [];
        foreach ($this->steps as $i => $number) {
            $steps[$this->growths[$i]->key] = $number;
        }

        return $steps;
    }

    /** @param list<int> $taken */
    private function from(int $at, int $points, int $seconds, int $effort, int $opens, array $taken): void
    {
        if (++$this->work > self::MOST_WORK) {
            $this->isExact = false;

            return;
        }
        if ($this->most($at, $points, $seconds, $effort, opens: $opens) <= $this->best) {
            return;
        }
        if (!isset($this->growths[$at])) {
            $value = $points - $this->objective->shortfall(0.0, -$opens / 4.0);
            if ($value > $this->best) {
                $this->best = $value;
                $this->steps = $taken;
            }

            return;
        }
        $ways = [[$points, $seconds, $effort, $opens]];
        foreach ($this->growths[$at]->increments as $step) {
            [$points, $seconds, $effort, $opens] = [
                $points + $step->points,
                $seconds - $step->seconds,
                $effort - $step->effort,
                $opens + $step->opens,
            ];
            if ($seconds < 0 || $effort < 0) {
                break;
            }
            $ways[] = [$points, $seconds, $effort, $opens];
        }
        foreach (array_reverse($ways, true) as $steps => $way) {
            $this->from($at + 1, $way[0], $way[1], $way[2], opens: $way[3], taken: [...$taken, $steps]);
        }
    }

    private function most(int $at, int $points, int $seconds, int $effort, int $opens): int
    {
        $least = \INF;
        foreach ($this->sets as $i => $set) {
            $least = min(
                $least,
                $this->suffix[$at][$i]
                    + $set->perSecond * $seconds
                    + $set->perEffort * $effort
                    + $set->perOpening * $opens,
            );
        }

        return $points + (int) floor($least + 1e-6);
    }

    private static function density(Growth $growth): float
    {
        $first = $growth->increments[0];

        return $first->points / max(1, $first->seconds);
    }
}
