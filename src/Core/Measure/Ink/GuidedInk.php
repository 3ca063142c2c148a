<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Ink;

use HandGarden\Core\Measure\Steadiness\Steadiness;

/**
 * A spiral or line that was followed. Every sample counts for the time until the next, so that a quick screen
 * and a slow
 * one give the same figures: rms distance = sqrt(sum(d^2 dt) / sum(dt)); off the guide = share of time further
 * away than
 * half the width of the guide.
 */
final readonly class GuidedInk
{
    /** Half the width of the guide, in millimetres; in pixels where the screen is not calibrated, at 4 a millimetre. */
    public const HALF_WIDTH_MM = 2.5;
    private const USUAL_PIXELS_PER_MM = 4.0;

    private function __construct(
        public float $rmsPixels,
        public ?float $rmsMm,
        public ?float $speedMmPerSecond,
        public float $offPercent,
        public float $seconds,
        public ?float $sampleHz,
        public ?Steadiness $tremor,
    ) {
    }

    /** Null when nothing was drawn that takes time. */
    public static function from(Sheet $sheet, Guide $guide): ?self
    {
        $halfWidth = self::HALF_WIDTH_MM * ($sheet->pixelsPerMm ?? self::USUAL_PIXELS_PER_MM);
        $squares = $off = $total = 0.0;
        foreach ($sheet->strokes as $stroke) {
            foreach ($guide->distances($stroke) as $i => $distance) {
                $time = isset($stroke[$i + 1])
                    ? max(0.0, $stroke[$i + 1]->ms - $stroke[$i]->ms)
                    : 0.0;
                $squares += $distance * $distance * $time;
                $off += abs($distance) > $halfWidth ? $time : 0.0;
                $total += $time;
            }
        }
        if ($total <= 0.0) {
            return null;
        }
        $rms = sqrt($squares / $total);
        $length = $sheet->mm($sheet->lengthPixels());
        $down = $sheet->secondsDown(); // none where the clock of the screen went back

        return new self(
            $rms,
            $sheet->mm($rms),
            null === $length || $down <= 0.0 ? null : $length / $down,
            100.0 * $off / $total,
            seconds: $sheet->seconds(),
            sampleHz: PathTremor::rateHz($sheet),
            tremor: PathTremor::from($sheet),
        );
    }
}
