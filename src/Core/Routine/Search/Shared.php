<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Limits;

/**
 * Items that more than one group could bring, such as the letting go after each kind of gripping: a sitting has
 * each once.
 */
final class Shared
{
    /** @var array<int, non-empty-list<Step>> by bit: as each group would bring it */
    private array $items = [];

    /** @var list<int> bits that this stage and those after it could bring */
    private readonly array $from;

    /** @var array<int, array<int, list<float>>> by bits still to be had, and by areas reached */
    private array $gains = [];

    private int $areas = 0;

    /** @var array<int, int> bits of what has to be done before, by bit */
    private array $needs = [];

    /** @var int bits of those that are taken to come in */
    private int $in = 0;

    /** @var int bits of those that are taken to stay out */
    private int $out = 0;

    /** @param list<Stage> $stages */
    public function __construct(array $stages)
    {
        foreach ($stages as $stage) {
            foreach ($stage->choices as $choice) {
                foreach ($choice->steps as $step) {
                    if ($step->isShared()) {
                        $this->needs[$step->key] = ($this->needs[$step->key] ?? -1) & $step->needs;
                        $this->items[$step->key][] = $step;
                        $this->areas |= $step->area;
                    }
                }
            }
        }
        $from = [0];
        for ($i = \count($stages) - 1; $i >= 0; --$i) {
            array_unshift($from, $from[0] | $stages[$i]->shared);
        }
        $this->from = $from;
    }

    /** @return list<int> the bit of each */
    public function bits(): array
    {
        return array_keys($this->items);
    }

    /** From now on these come in, and those do not. */
    public function assume(int $in, int $out): void
    {
        $this->in = $in;
        $this->out = $out;
        $this->forget();
    }

    /** Whether something that should come in can no longer. */
    public function isLost(int $stage, int $taken): bool
    {
        return 0 !== ($this->in & ~$taken & ~$this->from[$stage]);
    }

    /** Bits of what is in the sitting already though this stage or one after it could bring it. */
    public function alreadyTaken(int $stage, int $taken): int
    {
        return $this->from[$stage] & $taken;
    }

    /**
     * Bits of what can still come from this stage on.
     *
     * @param int $reach bits of what can be done before
     */
    public function open(int $stage, int $taken, int $reach): int
    {
        $open = $this->from[$stage] & ~$taken & ~$this->out;
        foreach ($this->needs as $bit => $needs) {
            if (0 !== ($needs & ~$reach)) {
                $open &= ~$bit;
            }
        }

        return $open;
    }

    /**
     * What they gain over their price.
     *
     * @param int            $areas bits of those that are reached
     * @param list<PriceSet> $sets
     *
     * @return list<float> for each set
     */
    public function gains(int $open, int $areas, array $sets): array
    {
        return $this->gains[$open][$areas & $this->areas] ??= array_map(
            fn (PriceSet $set): float => $this->gain($open, $areas, $set),
            $sets,
        );
    }

    /** After another set of prices. */
    public function forget(): void
    {
        $this->gains = [];
    }

    public function gain(int $open, int $areas, PriceSet $set): float
    {
        $sum = 0.0;
        $ofAreas = [];
        foreach ($this->items as $bit => $ways) {
            if (0 === ($open & $bit)) {
                continue;
            }
            $net = max(array_map(static fn (Step $way): float => self::net($way, $set), $ways));
            $comes = 0 !== ($this->in & $bit);
            $sum += $comes ? $net : max(0.0, $net);
            $net = $comes ? 0.0 : $net; // charged already
            $area = $ways[0]->area;
            if (0 === ($areas & $area)) {
                $ofAreas[$area] = max($ofAreas[$area] ?? 0.0, $ways[0]->areaPoints + min(0.0, $net));
            }
        }

        return $sum + array_sum($ofAreas);
    }

    /**
     * What those take that are worth their price, as the way that gains most takes them.
     *
     * @return array{int, int, int, int} seconds, effort, halves of things to do, and the bits of those
     */
    public function taken(int $open, PriceSet $set): array
    {
        $sum = [0, 0, 0, 0];
        foreach ($this->items as $bit => $ways) {
            if (0 === ($open & $bit)) {
                continue;
            }
            $best = $ways[0];
            foreach ($ways as $way) {
                $best = self::net($way, $set) > self::net($best, $set) ? $way : $best;
            }
            if (self::net($best, $set) > 0.0 || 0 !== ($this->in & $bit)) {
                [$seconds, $effort] = $best->growth?->taken($set) ?? [0, 0];
                $sum[0] += $best->seconds + Limits::BETWEEN_SECONDS + $seconds;
                $sum[1] += $best->effort + $effort;
                $sum[2] += $best->halfItems();
                $sum[3] |= $bit;
            }
        }

        return $sum;
    }

    private static function net(Step $way, PriceSet $set): float
    {
        return $way->worth
            - $set->for($way->seconds + Limits::BETWEEN_SECONDS, $way->effort, $way->halfItems())
            - ($set->shared[$way->key] ?? 0.0)
            + ($way->growth?->over($set) ?? 0.0);
    }
}
