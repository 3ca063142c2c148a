<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/** Fast Fourier transform of a fixed power-of-two length (Cooley & Tukey 1965), tables made once. */
final class Fourier
{
    /** @var list<int> */
    private array $order;

    /** @var list<float> */
    private array $cos;

    /** @var list<float> */
    private array $sin;

    public function __construct(
        private readonly int $length,
    ) {
        if ($length < 2 || 0 !== ($length & ($length - 1))) {
            throw new \InvalidArgumentException(\sprintf('%d is not a power of two.', $length));
        }
        $order = [0];
        for ($half = $length >> 1; $half >= 1; $half >>= 1) {
            foreach ($order as $place) {
                $order[] = $place + $half;
            }
        }
        $this->order = $order;
        $cos = $sin = [];
        for ($i = 0; $i < $length / 2; ++$i) {
            $cos[] = cos(2.0 * \M_PI * $i / $length);
            $sin[] = -sin(2.0 * \M_PI * $i / $length);
        }
        $this->cos = $cos;
        $this->sin = $sin;
    }

    /**
     * Squared magnitudes of two real signals, taken in one complex transform.
     *
     * @param list<float> $a no longer than the length; the rest counts as zero
     * @param list<float> $b likewise
     *
     * @return array{list<float>, list<float>} for frequencies 0 to half the rate
     */
    public function squared(array $a, array $b): array
    {
        $n = $this->length;
        $re = $im = [];
        foreach ($this->order as $place) {
            $re[] = $a[$place] ?? 0.0;
            $im[] = $b[$place] ?? 0.0;
        }
        $this->transform($re, $im);
        $powerA = $powerB = [];
        for ($k = 0; $k <= $n >> 1; ++$k) {
            $mirror = 0 === $k ? 0 : $n - $k;
            $sumRe = $re[$k] + $re[$mirror];
            $difIm = $im[$k] - $im[$mirror];
            $sumIm = $im[$k] + $im[$mirror];
            $difRe = $re[$mirror] - $re[$k];
            $powerA[] = 0.25 * ($sumRe * $sumRe + $difIm * $difIm);
            $powerB[] = 0.25 * ($sumIm * $sumIm + $difRe * $difRe);
        }

        return [$powerA, $powerB];
    }

    /**
     * In place, from bit-reversed order.
     *
     * @param array<int, float> $re
     * @param array<int, float> $im
     */
    private function transform(array &$re, array &$im): void
    {
        $n = $this->length;
        for ($size = 2; $size <= $n; $size <<= 1) {
            $half = $size >> 1;
            $stride = intdiv($n, $size);
            for ($i = 0, $at = 0; $i < $half; ++$i, $at += $stride) {
                $c = $this->cos[$at];
                $s = $this->sin[$at];
                for ($low = $i; $low < $n; $low += $size) {
                    $high = $low + $half;
                    $tr = $re[$high] * $c - $im[$high] * $s;
                    $ti = $re[$high] * $s + $im[$high] * $c;
                    $re[$high] = $re[$low] - $tr;
                    $im[$high] = $im[$low] - $ti;
                    $re[$low] += $tr;
                    $im[$low] += $ti;
                }
            }
        }
    }
}
