<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

use HandGarden\Core\Measure\Statistics;

/**
 * Two circles tapped in turn. Every touch counts as a tap, wherever it lands. Rhythm = 100 x standard deviation
 * / mean of
 * the times between taps; slowing = 100 x (rate of the first third - rate of the last third) / rate of the first third,
 * thirds of the time.
 */
final readonly class TapRun
{
    public const SECONDS = 15.0;

    private function __construct(
        public int $taps,
        public int $onTarget,
        public int $sameTwice,
        public ?float $rhythmPercent,
        public ?float $slowingPercent,
    ) {
    }

    /**
     * @param list<array{float, int|null}> $taps milliseconds from the first tap, and the circle that was hit: 0,
     *     1 or null
     */
    public static function from(array $taps, float $seconds = self::SECONDS): self
    {
        usort($taps, static fn (array $a, array $b): int => $a[0] <=> $b[0]);
        $taps = array_values(
            array_filter($taps, static fn (array $t): bool => $t[0] <= 1000.0 * $seconds),
        );
        $gaps = [];
        $same = 0;
        foreach ($taps as $i => [$ms, $target]) {
            if (isset($taps[$i - 1])) {
                $gaps[] = $ms - $taps[$i - 1][0];
                $same += null !== $target && $target === $taps[$i - 1][1] ? 1 : 0;
            }
        }
        $third = 1000.0 * $seconds / 3.0;
        $first = \count(array_filter($taps, static fn (array $t): bool => $t[0] < $third));
        $last = \count(array_filter($taps, static fn (array $t): bool => $t[0] >= 2.0 * $third));

        return new self(
            \count($taps),
            \count(array_filter($taps, static fn (array $t): bool => null !== $t[1])),
            $same,
            \count($gaps) < 3 || 0.0 === Statistics::mean($gaps)
                ? null
                : 100.0 * Statistics::deviation($gaps) / Statistics::mean($gaps),
            slowingPercent: $first < 3 ? null : 100.0 * ($first - $last) / $first,
        );
    }

    /**
     * Touches of a sheet as taps on two circles.
     *
     * @param array{array{float, float}, array{float, float}} $centres in pixels
     */
    public static function ofSheet(Sheet $sheet, array $centres, float $radiusPixels): self
    {
        $taps = [];
        $start = $sheet->strokes[0][0]->ms ?? 0.0;
        foreach ($sheet->strokes as [$touch]) {
            $hit = null;
            foreach ($centres as $i => [$x, $y]) {
                $hit = hypot($touch->x - $x, $touch->y - $y) <= $radiusPixels ? $i : $hit;
            }
            $taps[] = [$touch->ms - $start, $hit];
        }

        return self::from($taps);
    }
}
