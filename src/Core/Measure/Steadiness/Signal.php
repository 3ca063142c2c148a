<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/** What the numbers of a trace are, and so how far the hand swings at a frequency. */
enum Signal: string
{
    /** m/s2 */
    case Acceleration = 'acceleration';
    /** m/s, from the path of a pointer */
    case Velocity = 'velocity';

    /** Half swing in millimetres of a sine of this peak. */
    public function halfSwingMm(float $peak, float $hz): float
    {
        $turn = 2.0 * \M_PI * $hz;

        return 1000.0 * $peak / (self::Acceleration === $this ? $turn * $turn : $turn);
    }
}
