<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

use HandGarden\Core\Routine\Limits;

/**
 * An option of a group as steps, with what it takes and brings at most wherever it stands. Items that other
 * groups could
 * bring as well are left out of these sums: they are counted once, by `Shared`.
 */
final readonly class Choice
{
    /** @var int seconds with the pause before each item */
    public int $seconds;
    /** @var int seconds times intensity */
    public int $effort;
    /** @var int halves of things to do as a client counts them: right and left of one thing are half of it each */
    public int $ownItems;
    /** @var int points at most: with every area that is not the group's own */
    public int $points;
    /** @var int bits that have to come from before it */
    public int $needs;
    public int $gives;
    /** @var int bits of the parts of a sitting it belongs to */
    public int $parts;
    /** @var int bits of the items that other groups could bring */
    public int $shared;
    /** @var list<int> the same, one by one */
    public array $sharedBits;
    /** @var int position at its start */
    public int $first;
    /** @var int position at its end */
    public int $last;
    /** @var int quarter seconds of opening work less those of gripping */
    public int $opens;
    /** @var list<int> places of the bits it needs from before */
    public array $needPlaces;
    /** @var list<int> places of the bits it gives */
    public array $givePlaces;

    /**
     * @param non-empty-list<Step> $steps
     * @param list<Growth>         $growths    how its items may be done more often
     * @param list<Growth>         $ownGrowths the same without items that other groups could bring as well
     */
    public function __construct(
        public array $steps,
        int $groupArea,
        int $pointsPerMove,
        public array $growths = [],
        public array $ownGrowths = [],
    ) {
        $seconds =
            $effort =
                $points =
                    $needs =
                        $gives = $areas = $parts = $shared = $items = $opens = $posture = 0;
        foreach ($steps as $step) {
            $needs |= $step->needs & ~$gives;
            $gives |= $step->gives;
            $parts |= $step->parts;
            $moved = 0 !== $posture && $posture !== $step->posture;
            $seconds += $moved ? Limits::POSTURE_CHANGE_SECONDS : 0;
            $points -= $moved ? $pointsPerMove : 0;
            $posture = $step->posture;
            $opens += $step->opens - $step->grips;
            if ($step->isShared()) {
                $shared |= $step->key;
                continue;
            }
            $seconds += $step->seconds + Limits::BETWEEN_SECONDS;
            $effort += $step->effort;
            $points += $step->worth + (
                0 !== $step->area && $step->area !== $groupArea && 0 === ($areas & $step->area)
                    ? $step->areaPoints
                    : 0
            );
            $areas |= $step->area;
            $items += $step->halfItems();
        }
        $this->seconds = $seconds;
        $this->effort = $effort;
        $this->ownItems = $items;
        $this->points = $points;
        $this->needs = $needs;
        $this->gives = $gives;
        $this->parts = $parts;
        $this->shared = $shared;
        $this->sharedBits = array_map(static fn (int $place): int => 1 << $place, self::places($shared));
        $this->first = $steps[0]->posture;
        $this->last = $posture;
        $this->opens = $opens;
        $this->needPlaces = self::places($needs);
        $this->givePlaces = self::places($gives);
    }

    /** Nothing but an item that other groups could bring as well. */
    public function isShared(): bool
    {
        return 0 !== $this->shared && 1 === \count($this->steps);
    }

    /** @return list<int> */
    private static function places(int $bits): array
    {
        return array_values(
            array_filter(range(0, 62), static fn (int $place): bool => 0 !== ($bits >> $place & 1)),
        );
    }
}
