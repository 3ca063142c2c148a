<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

use HandGarden\Core\Measure\Statistics;

/**
 * A line of one letter written again and again, and whether it shrinks: height trend = 100 x (first third - last
 * third) /
 * first third, over the heights of its up and down strokes in the order written. Above 0: it grew smaller.
 */
final readonly class PatternInk
{
    public const FEWEST_STROKES = 6;
    /** An up or down stroke counts from this share of the tallest; less is a wobble. */
    private const LEAST_SHARE = 0.25;

    /** @param list<float> $heightsPixels of the up and down strokes, in the order written */
    private function __construct(
        public array $heightsPixels,
        public ?float $trendPercent,
        public ?float $meanHeightMm,
        public float $seconds,
        public string $why,
    ) {
    }

    public static function from(Sheet $sheet): self
    {
        $heights = [];
        foreach ($sheet->strokes as $stroke) {
            array_push($heights, ...self::runs($stroke));
        }
        $least = [] === $heights ? 0.0 : self::LEAST_SHARE * max($heights);
        $heights = array_values(
            array_filter($heights, static fn (float $h): bool => $h >= $least && $h > 1.0),
        );
        if (\count($heights) < self::FEWEST_STROKES) {
            return new self(
                $heights,
                null,
                null,
                $sheet->seconds(),
                why: 'Too few letters to say: six up and down strokes are needed.',
            );
        }
        $third = intdiv(\count($heights), 3);
        $first = Statistics::mean(self::filled(\array_slice($heights, 0, $third)));
        $last = Statistics::mean(self::filled(\array_slice($heights, -$third)));

        return new self(
            $heights,
            100.0 * ($first - $last) / $first,
            $sheet->mm(Statistics::mean(self::filled($heights))),
            $sheet->seconds(),
            why: '',
        );
    }

    /**
     * Heights between turning points. A turn counts when the pen has come back by more than a sixth of the
     * height of the
     * whole stroke, so that a shake does not cut a letter in two.
     *
     * @param non-empty-list<InkPoint> $stroke
     *
     * @return list<float>
     */
    private static function runs(array $stroke): array
    {
        $y = array_map(static fn (InkPoint $p): float => $p->y, $stroke);
        $noise = (max($y) - min($y)) / 6.0;
        $runs = [];
        $from = $extreme = $y[0];
        $direction = 0;
        foreach ($y as $value) {
            if (0 === $direction) {
                if (abs($value - $from) > $noise) {
                    $direction = $value > $from ? 1 : -1;
                    $extreme = $value;
                }
            } elseif (($value - $extreme) * $direction > 0.0) {
                $extreme = $value;
            } elseif (($extreme - $value) * $direction > $noise) {
                $runs[] = abs($extreme - $from);
                $from = $extreme;
                $extreme = $value;
                $direction = -$direction;
            }
        }
        if (0 !== $direction) {
            $runs[] = abs($extreme - $from);
        }

        return $runs;
    }

    /**
     * @param list<float> $values
     *
     * @return non-empty-list<float>
     */
    private static function filled(array $values): array
    {
        return [] === $values ? [0.0] : $values;
    }
}
