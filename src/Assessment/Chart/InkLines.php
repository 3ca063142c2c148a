<?php

declare(strict_types=1);

namespace HandGarden\Assessment\Chart;

use HandGarden\Core\Measure\Ink\InkPoint;
use HandGarden\Core\Measure\Ink\Sheet;

/** Two sheets of one task at the same scale, as lines that can be drawn beside each other. */
final class InkLines
{
    /** Of one sheet: enough for a screen in the hand. */
    private const MOST_POINTS = 600;
    private const MARGIN = 2.0;

    /** @return array{list<string>, list<string>, width: float, height: float}|null null: nothing was drawn */
    public static function pair(Sheet $before, Sheet $after): ?array
    {
        $inMm = null !== $before->pixelsPerMm && null !== $after->pixelsPerMm;
        $drawn = array_map(
            static fn (Sheet $s): ?array => self::lines($s, $inMm ? 1.0 / (float) $s->pixelsPerMm : 1.0),
            [$before, $after],
        );

        return null === $drawn[0] || null === $drawn[1] ? null : [
            $drawn[0]['lines'],
            $drawn[1]['lines'],
            'width' => max($drawn[0]['width'], $drawn[1]['width']),
            'height' => max($drawn[0]['height'], $drawn[1]['height']),
        ];
    }

    /** @return array{lines: list<string>, width: float, height: float}|null */
    private static function lines(Sheet $sheet, float $scale): ?array
    {
        $points = array_merge(...$sheet->strokes);
        if ([] === $points) {
            return null;
        }
        $xs = array_map(static fn (InkPoint $p): float => $p->x * $scale, $points);
        $ys = array_map(static fn (InkPoint $p): float => $p->y * $scale, $points);
        $every = max(1, (int) ceil(\count($points) / self::MOST_POINTS));
        $left = min($xs) - self::MARGIN;
        $top = min($ys) - self::MARGIN;

        return [
            'lines' => array_map(static fn (array $stroke): string => implode(' ', array_map(
                static fn (InkPoint $p): string => round($p->x * $scale - $left, 1).','.round(
                    $p->y * $scale - $top,
                    1,
                ),
                self::thinned($stroke, $every),
            )), $sheet->strokes),
            'width' => round(max($xs) - $left + self::MARGIN, 1),
            'height' => round(max($ys) - $top + self::MARGIN, 1),
        ];
    }

    /**
     * @param list<InkPoint> $stroke
     *
     * @return list<InkPoint> with its first and its last
     */
    private static function thinned(array $stroke, int $every): array
    {
        $last = \count($stroke) - 1;

        return array_values(array_filter(
            $stroke,
            static fn (int $n): bool => 0 === $n % $every || $n === $last,
            \ARRAY_FILTER_USE_KEY,
        ));
    }
}
