<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

use HandGarden\Core\Measure\Statistics;

/**
 * How a hand shakes: the clear peak of the spectrum between 2 and 12 Hz, or why there is none.
 *
 * A peak is clear when it is the highest place of the band, more than 3 times the median of the band, more than twice
 * what lies on either side of it, and at least 0.5 Hz from the low edge, where slow movement of the arm lies.
 * rms = sqrt(area within 1 Hz of the peak - median floor); peak = sqrt(2) rms; half swing = 1000 peak / (2 pi f)^2 mm.
 */
final readonly class Steadiness
{
    public const LOW_HZ = 2.0;
    public const HIGH_HZ = 12.0;
    public const FEWEST_WINDOWS = 8;
    private const EDGE_HZ = 0.5;
    private const TIMES_MEDIAN = 3.0;
    private const TIMES_SIDES = 2.0;
    private const HALF_WIDTH_HZ = 1.0;

    private function __construct(
        public Signal $signal,
        public ?Spectrum $spectrum,
        public float $seconds,
        public ?float $peakHz,
        public ?float $rms,
    ) {
    }

    public static function from(Trace $trace, Signal $signal = Signal::Acceleration): self
    {
        $spectrum = Spectrum::from($trace);
        if (null === $spectrum || $spectrum->windows < self::FEWEST_WINDOWS) {
            return new self($signal, $spectrum, $trace->seconds(), null, rms: null);
        }
        $peakHz = self::peak($spectrum);

        return new self(
            $signal,
            $spectrum,
            $trace->seconds(),
            $peakHz,
            rms: null === $peakHz ? null : self::rmsAt($spectrum, $peakHz),
        );
    }

    public function isTooShort(): bool
    {
        return ($this->spectrum->windows ?? 0) < self::FEWEST_WINDOWS;
    }

    /** Peak value of the sine that shakes as much. */
    public function peakValue(): ?float
    {
        return null === $this->rms ? null : \M_SQRT2 * $this->rms;
    }

    public function halfSwingMm(): ?float
    {
        $peak = $this->peakValue();

        return null === $peak || null === $this->peakHz
            ? null
            : $this->signal->halfSwingMm($peak, $this->peakHz);
    }

    /** How much of the movement is near a frequency that is known from elsewhere, whether it stands out here or not. */
    public function rmsNear(float $hz): ?float
    {
        return null === $this->spectrum || $this->isTooShort()
            ? null
            : self::rmsAt($this->spectrum, $hz);
    }

    public function words(): string
    {
        return match (true) {
            $this->isTooShort() => \sprintf(
                'Too short to say: %.0f s, and 18 s without a gap are needed, or repeats that add up to it.',
                $this->seconds,
            ),
            null === $this->peakHz => 'No clear peak between 2 and 12 Hz.',
            default => \sprintf(
                'Shakes %.1f times a second, %.1f mm to each side.',
                $this->peakHz,
                $this->halfSwingMm(),
            ),
        };
    }

    private static function peak(Spectrum $spectrum): ?float
    {
        $band = $spectrum->band(self::LOW_HZ, self::HIGH_HZ);
        if ([] === $band) {
            return null; // sampled too slowly to say
        }
        $top = (int) array_search(max($band), $band, true);
        $before = $spectrum->power[$top - 1] ?? null;
        $after = $spectrum->power[$top + 1] ?? null;
        if (
            null === $before
            || null === $after
            || $band[$top] <= 0.0
            || $before >= $band[$top]
            || $after > $band[$top]
        ) {
            return null;
        }
        $hz = $spectrum->hz($top) + $spectrum->stepHz * self::shift($before, $band[$top], $after);
        $sides = max(
            $spectrum->median($hz - 2.0, $hz - self::HALF_WIDTH_HZ),
            $spectrum->median($hz + self::HALF_WIDTH_HZ, $hz + 2.0),
        );
        $isClear = $band[$top] > self::TIMES_MEDIAN * Statistics::median(array_values($band))
            && $band[$top] > self::TIMES_SIDES * $sides
            && $hz >= self::LOW_HZ + self::EDGE_HZ;

        return $isClear ? $hz : null;
    }

    /** Top of the parabola through the logarithms of three neighbours, in bins from the middle one. */
    private static function shift(float $before, float $top, float $after): float
    {
        $a = log(max($before, 1e-300));
        $b = log($top);
        $c = log(max($after, 1e-300));
        $bend = $a - 2.0 * $b + $c;

        return $bend >= 0.0 ? 0.0 : max(-0.5, min(0.5, 0.5 * ($a - $c) / $bend));
    }

    private static function rmsAt(Spectrum $spectrum, float $hz): float
    {
        $near = $spectrum->band($hz - self::HALF_WIDTH_HZ, $hz + self::HALF_WIDTH_HZ);
        $floor = $spectrum->median(self::LOW_HZ, self::HIGH_HZ);

        return sqrt(max(0.0, (array_sum($near) - \count($near) * $floor) * $spectrum->stepHz));
    }
}
