<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

use HandGarden\Core\Measure\Statistics;
use HandGarden\Core\Measure\Steadiness\Signal;
use HandGarden\Core\Measure\Steadiness\Steadiness;
use HandGarden\Core\Measure\Steadiness\Stretch;
use HandGarden\Core\Measure\Steadiness\Trace;

/**
 * Shaking in what was drawn: the velocity of the path, brought to an even rate, through the same analysis as a
 * sensor's trace.
 */
final class PathTremor
{
    public const LEAST_HZ = 60.0;
    private const EVEN_HZ = 100.0;

    /** Null when the screen was not calibrated or gave fewer than 60 samples a second. */
    public static function from(Sheet $sheet): ?Steadiness
    {
        $rate = self::rateHz($sheet);
        // Screens that deliver 60 a second report 16 or 17 ms: the check allows for that rounding.
        if (null === $sheet->pixelsPerMm || null === $rate || $rate < 0.95 * self::LEAST_HZ) {
            return null;
        }
        $stretches = [];
        foreach ($sheet->strokes as $stroke) {
            $stretch = self::velocity($stroke, 1.0 / $sheet->pixelsPerMm);
            if (null !== $stretch) {
                $stretches[] = $stretch;
            }
        }

        return [] === $stretches
            ? null
            : Steadiness::from(new Trace(self::EVEN_HZ, $stretches), Signal::Velocity);
    }

    /** Samples a second while the pointer was down. */
    public static function rateHz(Sheet $sheet): ?float
    {
        $gaps = [];
        foreach ($sheet->strokes as $stroke) {
            foreach ($stroke as $i => $point) {
                $before = $stroke[$i - 1] ?? null;
                if (null !== $before && $point->ms > $before->ms) {
                    $gaps[] = $point->ms - $before->ms;
                }
            }
        }

        return [] === $gaps ? null : 1000.0 / Statistics::mean($gaps);
    }

    /**
     * Places at an even rate by straight lines between samples, then differences: m/s.
     *
     * @param non-empty-list<InkPoint> $stroke
     */
    private static function velocity(array $stroke, float $mmPerPixel): ?Stretch
    {
        $step = 1000.0 / self::EVEN_HZ;
        $last = $stroke[\count($stroke) - 1]->ms;
        $vx = $vy = [];
        $i = 0;
        $before = null;
        for ($ms = $stroke[0]->ms; $ms <= $last; $ms += $step) {
            while (isset($stroke[$i + 2]) && $stroke[$i + 1]->ms < $ms) {
                ++$i;
            }
            $a = $stroke[$i];
            $b = $stroke[$i + 1] ?? $a;
            $part = $b->ms > $a->ms ? min(1.0, ($ms - $a->ms) / ($b->ms - $a->ms)) : 0.0;
            $here = [$a->x + $part * ($b->x - $a->x), $a->y + $part * ($b->y - $a->y)];
            if (null !== $before) {
                $vx[] = ($here[0] - $before[0]) * $mmPerPixel / $step;
                $vy[] = ($here[1] - $before[1]) * $mmPerPixel / $step;
            }
            $before = $here;
        }

        return [] === $vx ? null : new Stretch($vx, $vy, array_fill(0, \count($vx), 0.0));
    }
}
