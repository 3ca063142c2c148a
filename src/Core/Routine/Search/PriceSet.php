<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/** Points asked for a second, for effort and for an item, and for each thing that has to be done before an item. */
final readonly class PriceSet
{
    /** @var array<int, array<int, float>> by place of the bit: what all stages after a stage pay */
    private array $later;

    /** @var int bits that something is paid for: whether others are given makes no difference here */
    public int $bits;

    /**
     * @param float                          $perOpening points for a quarter second of opening work more than
     *     gripping: what the shortfall would cost, or less
     * @param array<int, array<int, float>>  $needs      what a stage pays, by stage and place of the bit, to
     *     whichever earlier item meets it
     * @param array<int, float>              $shared     by bit, what an item that several groups could bring pays to
     *     the group that brings it
     */
    public function __construct(
        public float $perSecond,
        public float $perEffort,
        public float $perItem,
        public float $perOpening = 0.0,
        public array $needs = [],
        public array $shared = [],
    ) {
        $later = $sum = [];
        $bits = 0;
        krsort($needs);
        foreach ($needs as $stage => $asked) {
            foreach ($asked as $place => $price) {
                $bits |= 1 << $place;
                $sum[$place] = ($sum[$place] ?? 0.0) + $price;
                $later[$place][$stage] = $sum[$place];
            }
        }
        $this->bits = $bits;
        $this->later = $later; // stages run down, so that the last one after a given stage holds the whole sum
    }

    public function for(int $seconds, int $effort, int $items): float
    {
        return $this->perSecond * $seconds + $this->perEffort * $effort + $this->perItem * $items;
    }

    /** What a choice brings over its price, without what it pays or is paid for preparation. */
    public function net(Choice $choice): float
    {
        $net = $choice->points
            - $this->perSecond * $choice->seconds
            - $this->perEffort * $choice->effort
            - $this->perItem * $choice->ownItems
            + $this->perOpening * $choice->opens;
        foreach ($choice->ownGrowths as $growth) {
            $net += $growth->over($this);
        }
        foreach ($choice->sharedBits as $bit) {
            $net += $this->shared[$bit] ?? 0.0;
        }

        return $net;
    }

    public function gainOf(Increment $step): float
    {
        return $step->points
            - $this->perSecond * $step->seconds
            - $this->perEffort * $step->effort
            + $this->perOpening * $step->opens;
    }

    /** What the stages after this one pay together for the bit at a place. */
    public function askedAfter(int $stage, int $place): float
    {
        $sum = 0.0;
        foreach ($this->later[$place] ?? [] as $asking => $paid) {
            if ($asking <= $stage) {
                break;
            }
            $sum = $paid;
        }

        return $sum;
    }
}
