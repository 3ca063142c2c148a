<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Measure\Steadiness\Trace;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Made signals whose truth is known, by seed. */
final class Noise
{
    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function between(float $low, float $high): float
    {
        return $low + ($high - $low) * $this->random->getInt(0, 1_000_000) / 1_000_000;
    }

    /** Normal, mean 0 and deviation 1 (Box & Muller 1958). */
    public function gauss(): float
    {
        return sqrt(-2.0 * log($this->between(1e-6, 1.0))) * cos(
            2.0 * \M_PI * $this->between(0.0, 1.0),
        );
    }

    /**
     * A sine on two axes over gravity, drift and white noise.
     *
     * @param float $noise deviation of the noise on each axis
     */
    public function tremor(
        float $hz,
        float $peak,
        float $seconds,
        float $noise,
        float $rate = 100.0,
    ): Trace {
        $phase = $this->between(0.0, 6.28);
        $samples = [];
        for ($i = 0; $i < $seconds * $rate; ++$i) {
            $value = $peak * sin(2.0 * \M_PI * $hz * $i / $rate + $phase);
            $samples[] = [
                1000.0 * $i / $rate,
                0.6 * $value + 2.9 + $noise * $this->gauss(),
                0.8 * $value + 0.0005 * $i + $noise * $this->gauss(),
                9.4 + $noise * $this->gauss(),
            ];
        }

        return Trace::fromSamples($rate, $samples);
    }

    /**
     * Noise without any tremor.
     *
     * @param float $memory 0: white; towards 1: the slower the stronger
     * @param int   $axes   how many of the three carry it
     */
    public function idle(float $seconds, float $memory = 0.0, int $axes = 3): Trace
    {
        $state = [0.0, 0.0, 0.0];
        $samples = [];
        for ($i = 0; $i < $seconds * 100.0; ++$i) {
            for ($axis = 0; $axis < $axes; ++$axis) {
                $state[$axis] = $memory * $state[$axis] + $this->gauss();
            }
            $samples[] = [10.0 * $i, $state[0], $state[1], $state[2]];
        }

        return Trace::fromSamples(100.0, $samples);
    }
}
