<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Limits;

/**
 * The most that the stages from each one on can gain at one set of prices, by the position the arm is in, by
 * whether the
 * stage's area is reached already and whether something closes the sitting already: worked out from the last
 * stage back.
 */
final class Outlook
{
    /** @var array<int, array<int, float>> by stage; see `place` */
    private array $gains = [];

    private int $done;

    /** @var int the first stage with something that closes the sitting */
    private readonly int $closingFrom;

    /**
     * @param list<Stage> $stages
     * @param int         $gives  bits of what is done before
     * @param int         $reach  bits of what can be done before
     */
    public function __construct(
        private readonly array $stages,
        private readonly PriceSet $set,
        private readonly int $gives,
        private readonly int $reach,
        private readonly int $postures,
        private readonly int $pointsPerMove,
        /** Bits of what stays out. */
        private readonly int $out = 0,
    ) {
        $this->done = \count($stages);
        $closing = array_keys(array_filter($stages, static fn (Stage $s): bool => $s->closes));
        $this->closingFrom = $closing[0] ?? $this->done;
        $this->gains[$this->done] = [];
        for ($posture = 0; $posture <= $postures; ++$posture) {
            array_push($this->gains[$this->done], -\INF, 0.0, -\INF, 0.0);
        }
    }

    public static function place(int $posture, bool $reached, bool $closed): int
    {
        return 4 * $posture + ($reached ? 2 : 0) + ($closed ? 1 : 0);
    }

    public function from(int $stage, int $place): float
    {
        return $this->gains[$stage][$place];
    }

    /** Works back to a stage; answers how many stages that took. */
    public function reachTo(int $stage): int
    {
        $before = $this->done;
        while ($this->done > $stage) {
            --$this->done;
            $this->gains[$this->done] = $this->before($this->done, $this->gains[$this->done + 1]);
        }

        return $before - $this->done;
    }

    /**
     * @param array<int, float> $after
     *
     * @return array<int, float>
     */
    private function before(int $at, array $after): array
    {
        $stage = $this->stages[$at];
        $sameArea = 0 !== $stage->area && ($this->stages[$at + 1]->area ?? 0) === $stage->area;
        $move = $this->pointsPerMove + $this->set->perSecond * Limits::POSTURE_CHANGE_SECONDS;
        $nets = $this->nets($at);
        $gains = $after; // right where nothing differs: places that cannot be at this stage are never asked for
        $places = match (true) {
            0 === $stage->area => $at < $this->closingFrom ? [0] : [0, 1],
            $at < $this->closingFrom => [0, 2],
            default => [0, 1, 2, 3],
        };
        for ($posture = 0; $posture <= $this->postures; ++$posture) {
            foreach ($places as $flags) {
                $place = 4 * $posture + $flags;
                $reached = 0 !== ($flags & 2);
                $closed = $flags & 1;
                $leavesArea = $sameArea && $reached ? 2 : 0;
                $best = $stage->must ? -\INF : $after[4 * $posture + $leavesArea + $closed];
                foreach ($nets as [$net, $first, $last, $closes, $ownArea]) {
                    $isInArea = $sameArea && ($reached || $ownArea);
                    $gain = $net + $after[4 * $last + ($isInArea ? 2 : 0) + ($closed | $closes)];
                    if (0 !== $posture && $posture !== $first) {
                        $gain -= $move;
                    }
                    if ($ownArea && !$reached) {
                        $gain += $stage->areaPoints;
                    }
                    if ($gain > $best) {
                        $best = $gain;
                    }
                }
                $gains[$place] = $best;
            }
        }

        return $gains;
    }

    /**
     * @return list<array{float, int, int, int, bool}> what each choice that can be made gains over its price, its
     *    first and last position, whether it closes, and whether it reaches the stage's area
     */
    private function nets(int $at): array
    {
        $asked = $this->set->needs[$at] ?? [];
        $nets = [];
        foreach ($this->stages[$at]->choices as $choice) {
            if (0 !== ($choice->needs & ~$this->reach) || 0 !== ($choice->shared & $this->out)) {
                continue;
            }
            $net = $this->set->net($choice);
            if ([] !== $this->set->needs) {
                foreach ($choice->needPlaces as $place) {
                    $net -= 0 === ($this->gives >> $place & 1) ? $asked[$place] ?? 0.0 : 0.0;
                }
                foreach ($choice->givePlaces as $place) {
                    $net += 0 === ($this->gives >> $place & 1)
                        ? $this->set->askedAfter($at, $place)
                        : 0.0;
                }
            }
            $closes = 0 === ($choice->parts & Step::CLOSING) ? 0 : 1;
            $ownArea = 0 !== $this->stages[$at]->area && !$choice->isShared();
            $kind = $choice->first.' '.$choice->last.' '.$closes.($ownArea ? ' own' : '');
            if ($net > ($nets[$kind][0] ?? -\INF)) { // of those that differ in nothing else
                $nets[$kind] = [$net, $choice->first, $choice->last, $closes, $ownArea];
            }
        }

        return array_values($nets);
    }
}
