<?php

declare(strict_types=1);

namespace HandGarden\Content\Format;

use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Measure\Ink\Guide;
use HandGarden\Core\Measure\Ink\GuidedInk;
use HandGarden\Core\Measure\Ink\InkPoint;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Measure\Ink\InvalidInk;
use HandGarden\Core\Measure\Ink\LineGuide;
use HandGarden\Core\Measure\Ink\PatternInk;
use HandGarden\Core\Measure\Ink\Sheet;
use HandGarden\Core\Measure\Ink\SpiralGuide;
use HandGarden\Core\Measure\Ink\TapRun;
use HandGarden\Core\Measure\Ink\WordInk;

/** What was drawn or tapped on a screen, and what it comes to, as named values. */
final class InkFormat
{
    public const INK = 'hand-garden/ink';
    private const MOST_POINTS = 60_000;
    private const MOST_STROKES = 2_000;

    /**
     * @param float|null $pixelsPerMm the scale, when the caller knows better than the file
     *
     * @throws InvalidData
     */
    public static function sheet(Node $node, ?float $pixelsPerMm = null): Sheet
    {
        $strokes = [];
        $left = self::MOST_POINTS;
        $items = $node->get('strokes')->items();
        if (\count($items) > self::MOST_STROKES) {
            throw $node->get('strokes')->fail(
                \sprintf(
                    '%d strokes; at most %d',
                    \count($items),
                    self::MOST_STROKES,
                ),
            );
        }
        foreach ($items as $stroke) {
            $points = array_map(
                static fn (array $p): InkPoint => new InkPoint(
                    $p[0],
                    $p[1] ?? 0.0,
                    $p[2] ?? 0.0,
                    $p[3] ?? 0.5,
                ),
                $stroke->rows(3, 4, $left),
            );
            if ([] === $points) {
                throw $stroke->fail('a stroke has at least one point');
            }
            $left -= \count($points);
            $strokes[] = $points;
        }

        return new Sheet(
            $strokes,
            $pixelsPerMm ?? $node->optional('pixels_per_mm')?->float(1.0, 40.0),
        );
    }

    /** @throws InvalidData */
    public static function guide(Node $node): Guide
    {
        $number = static fn (string $key): float => $node->get($key)->float(
            -10_000.0,
            10_000.0,
        );
        try {
            return match ($node->get('kind')->string()) {
                'spiral' => new SpiralGuide(
                    $number('cx'),
                    $number('cy'),
                    $number('start_radius'),
                    $number('pitch'),
                    turns: $number('turns'),
                ),
                'line' => new LineGuide($number('x1'), $number('y1'), $number('x2'), $number('y2')),
                default => throw $node->get('kind')->fail('expected spiral or line'),
            };
        } catch (InvalidInk $e) {
            throw $node->fail($e->getMessage());
        }
    }

    /**
     * Everything a sheet says.
     *
     * @return array<string, mixed>
     *
     * @throws InvalidData when the guide of the task is missing or wrong
     */
    public static function analysis(InkTask $task, Sheet $sheet, ?Node $guide): array
    {
        $guide ??= Node::root([], 'guide');

        return match ($task) {
            InkTask::Spiral, InkTask::Line => self::guided(
                GuidedInk::from($sheet, self::guide($guide)),
            ),
            InkTask::Word => self::word(WordInk::from($sheet)),
            InkTask::Pattern => self::pattern(PatternInk::from($sheet)),
            InkTask::Tapping => self::taps(
                TapRun::ofSheet(
                    $sheet,
                    self::centres($guide->get('centres')),
                    $guide->get('radius')->float(5.0, 1000.0),
                ),
            ),
        };
    }

    /** @return array<string, mixed> */
    private static function guided(?GuidedInk $found): array
    {
        if (null === $found) {
            return ['says' => 'Nothing was drawn.'];
        }

        return [
            'rms_mm' => TraceFormat::rounded($found->rmsMm, 2),
            'speed_mm_s' => TraceFormat::rounded($found->speedMmPerSecond, 1),
            'off_guide_percent' => round($found->offPercent, 1),
            'seconds' => round($found->seconds, 2),
            'samples_per_second' => TraceFormat::rounded($found->sampleHz, 0),
            'tremor' => null === $found->tremor ? null : TraceFormat::steadiness($found->tremor),
            'says' => null === $found->rmsMm
                ? 'Not calibrated: no millimetres.'
                : \sprintf(
                    '%.1f mm from the guide, %.0f mm a second, %.0f %% of the time off it.',
                    $found->rmsMm,
                    $found->speedMmPerSecond,
                    $found->offPercent,
                ),
        ];
    }

    /** @return array<string, mixed> */
    private static function word(?WordInk $found): array
    {
        if (null === $found) {
            return ['says' => 'Nothing was written.'];
        }

        return [
            'width_mm' => TraceFormat::rounded($found->widthMm, 1),
            'height_mm' => TraceFormat::rounded($found->heightMm, 1),
            'seconds' => round($found->seconds, 2),
            'pen_lifts' => $found->penLifts,
            'says' => \sprintf(
                '%s in %.1f s, %d pen lifts.',
                null === $found->widthMm
                    ? 'Not calibrated: no millimetres. Written'
                    : \sprintf(
                        '%.0f by %.0f mm',
                        $found->widthMm,
                        $found->heightMm,
                    ),
                $found->seconds,
                $found->penLifts,
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function pattern(PatternInk $found): array
    {
        return [
            'height_trend_percent' => TraceFormat::rounded($found->trendPercent, 1),
            'mean_height_mm' => TraceFormat::rounded($found->meanHeightMm, 1),
            'strokes' => \count($found->heightsPixels),
            'seconds' => round($found->seconds, 2),
            'says' => match (true) {
                null === $found->trendPercent => $found->why,
                $found->trendPercent > 0.5 => \sprintf(
                    'The last third is %.0f %% lower than the first.',
                    $found->trendPercent,
                ),
                $found->trendPercent < -0.5 => \sprintf(
                    'The last third is %.0f %% taller than the first.',
                    -$found->trendPercent,
                ),
                default => 'The letters keep their height.',
            },
        ];
    }

    /** @return array<string, mixed> */
    private static function taps(TapRun $found): array
    {
        return [
            'taps' => $found->taps,
            'on_target' => $found->onTarget,
            'same_twice' => $found->sameTwice,
            'rhythm_cv_percent' => TraceFormat::rounded($found->rhythmPercent, 1),
            'slowing_percent' => TraceFormat::rounded($found->slowingPercent, 1),
            'says' => \sprintf(
                '%d taps in 15 s%s.',
                $found->taps,
                null === $found->rhythmPercent
                    ? ''
                    : \sprintf(', rhythm varies by %.0f %%', $found->rhythmPercent),
            ),
        ];
    }

    /** @return array{array{float, float}, array{float, float}} */
    private static function centres(Node $node): array
    {
        $rows = $node->rows(2, 2, 2);

        return 2 === \count($rows)
            ? [[$rows[0][0], $rows[0][1] ?? 0.0], [$rows[1][0], $rows[1][1] ?? 0.0]]
            : throw $node->fail('expected two circles');
    }
}
