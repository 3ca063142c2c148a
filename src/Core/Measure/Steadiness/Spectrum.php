<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

use HandGarden\Core\Measure\Statistics;

/**
 * Power over frequency, added over the axes, after Welch (1967): windows of 4 s that overlap by half, each without its
 * mean and straight drift and under a Hann window, averaged. No window reaches across a gap.
 */
final readonly class Spectrum
{
    public const WINDOW_SECONDS = 4.0;

    /** @param list<float> $power unit of the signal squared per Hz, from 0 Hz in steps of stepHz */
    public function __construct(
        public float $stepHz,
        public array $power,
        public int $windows,
    ) {
    }

    /** Null when no stretch is as long as one window. */
    public static function from(Trace $trace): ?self
    {
        $length = (int) round(self::WINDOW_SECONDS * $trace->rateHz);
        $padded = 2;
        while ($padded < $length) {
            $padded <<= 1;
        }
        $hann = [];
        $weight = 0.0;
        for ($i = 0; $i < $length; ++$i) {
            $hann[] = $w = 0.5 - 0.5 * cos(2.0 * \M_PI * $i / $length);
            $weight += $w * $w;
        }
        $fourier = new Fourier($padded);
        $sum = array_fill(0, ($padded >> 1) + 1, 0.0);
        $windows = 0;
        $waiting = null;
        foreach ($trace->stretches as $stretch) {
            for ($from = 0; $from + $length <= $stretch->length(); $from += intdiv($length, 2)) {
                ++$windows;
                foreach ([$stretch->x, $stretch->y, $stretch->z] as $axis) {
                    $cut = self::levelled(\array_slice($axis, $from, $length), $hann);
                    if (null === $waiting) {
                        $waiting = $cut;
                    } else {
                        self::add($sum, ...$fourier->squared($waiting, $cut));
                        $waiting = null;
                    }
                }
            }
        }
        if (0 === $windows) {
            return null;
        }
        if (null !== $waiting) {
            self::add($sum, ...$fourier->squared($waiting, []));
        }
        $scale = 2.0 / ($trace->rateHz * $weight * $windows);

        return new self(
            $trace->rateHz / $padded,
            array_values(array_map(static fn (float $p): float => $p * $scale, $sum)),
            $windows,
        );
    }

    public function hz(int $bin): float
    {
        return $bin * $this->stepHz;
    }

    /** @return array<int, float> power by bin, both ends included */
    public function band(float $fromHz, float $toHz): array
    {
        $from = max(0, (int) ceil($fromHz / $this->stepHz - 1e-9));
        $to = min(\count($this->power) - 1, (int) floor($toHz / $this->stepHz + 1e-9));

        return $from > $to ? [] : \array_slice($this->power, $from, $to - $from + 1, true);
    }

    public function median(float $fromHz, float $toHz): float
    {
        $band = $this->band($fromHz, $toHz);

        return [] === $band ? 0.0 : Statistics::median(array_values($band));
    }

    public function area(float $fromHz, float $toHz): float
    {
        return array_sum($this->band($fromHz, $toHz)) * $this->stepHz;
    }

    /**
     * @param list<float> $values
     * @param list<float> $hann
     *
     * @return list<float> without mean and straight drift, under the window
     */
    private static function levelled(array $values, array $hann): array
    {
        $n = \count($values);
        $middle = ($n - 1) / 2.0;
        $mean = array_sum($values) / $n;
        $slope = 0.0;
        foreach ($values as $i => $value) {
            $slope += ($i - $middle) * $value;
        }
        $slope *= 12.0 / ($n * ($n * $n - 1.0));
        $level = [];
        foreach ($values as $i => $value) {
            $level[] = ($value - $mean - $slope * ($i - $middle)) * $hann[$i];
        }

        return $level;
    }

    /**
     * @param array<int, float> $sum
     * @param list<float>       $a
     * @param list<float>       $b
     */
    private static function add(array &$sum, array $a, array $b): void
    {
        foreach ($a as $k => $power) {
            $sum[$k] += $power + $b[$k];
        }
    }
}
