<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/**
 * What the stages from each one on gain at one set of prices, at most, were positions free to change: quick, to
 * find prices by.
 */
final readonly class Column
{
    /** @param array<int, Choice> $taken by stage, the choice that gains */
    private function __construct(
        public float $gain,
        public array $taken,
    ) {
    }

    /**
     * @param list<Stage> $stages
     * @param int         $gives  bits of what is done before
     * @param int         $reach  bits of what can be done before
     */
    public static function from(
        array $stages,
        PriceSet $set,
        int $gives,
        int $reach,
        int $downTo = 0,
    ): self {
        $count = \count($stages);
        $taken = $paid = [];
        $rest = 0.0;   // of the areas after this one
        $gains = 0.0;  // of the groups of this area
        $best = -\INF; // single gain in this area
        $closer = -\INF;
        $area = $points = 0;
        for ($i = $count - 1; $i >= $downTo; --$i) {
            $stage = $stages[$i];
            if ($stage->area !== $area) {
                $rest += self::withArea($gains, $best, $points);
                $gains = 0.0;
                $best = -\INF;
                $area = $stage->area;
                $points = $stage->areaPoints;
            }
            $asked = $set->needs[$i] ?? [];
            $gain = -\INF;
            $gaining = null;
            foreach ($stage->choices as $choice) {
                if (0 !== ($choice->needs & ~$reach)) {
                    continue;
                }
                $net = $set->net($choice);
                foreach ($choice->needPlaces as $place) {
                    $net -= 0 === ($gives >> $place & 1) ? $asked[$place] ?? 0.0 : 0.0;
                }
                foreach ($choice->givePlaces as $place) {
                    $net += $paid[$place] ?? 0.0;
                }
                if ($net > $gain) {
                    $gain = $net;
                    $gaining = $choice;
                }
            }
            if (null !== $gaining) {
                foreach ($asked as $place => $price) {
                    if (0 === ($gives >> $place & 1)) {
                        $paid[$place] = ($paid[$place] ?? 0.0) + $price;
                    }
                }
                if ($gain > 0.0 || $stage->must) {
                    $taken[$i] = $gaining;
                }
            }
            if ($stage->closes) {
                $closer = max($closer, $stage->must ? 0.0 : $gain);
            }
            $gains += $stage->must ? $gain : max(0.0, $gain);
            $best = max($best, $gain);
        }

        // A closing item has to come in, at whatever price.
        return new self($rest + self::withArea($gains, $best, $points) + min(0.0, $closer), $taken);
    }

    /** What the groups of an area gain when the points for its first item are still to be had. */
    private static function withArea(float $gains, float $best, int $points): float
    {
        return 0 === $points || -\INF === $best
            ? $gains
            : max($gains, $gains + $points + min(0.0, $best));
    }
}
