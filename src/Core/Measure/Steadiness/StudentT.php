<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/**
 * Student's t distribution: its distribution function by the incomplete beta function (Abramowitz & Stegun 1964,
 * 26.5.8 and 26.7.1).
 */
final class StudentT
{
    /** The t that a share p of the distribution lies below; 0.5 <= p < 1. */
    public static function quantile(float $p, float $degreesOfFreedom): float
    {
        if ($p < 0.5 || $p >= 1.0 || $degreesOfFreedom <= 0.0) {
            throw new \InvalidArgumentException(
                'Expected 0.5 <= p < 1 and a positive number of degrees of freedom.',
            );
        }
        $low = 0.0;
        $high = 1.0;
        while (self::below($high, $degreesOfFreedom) < $p) {
            $high *= 2.0;
        }
        for ($i = 0; $i < 60; ++$i) {
            $middle = 0.5 * ($low + $high);
            self::below($middle, $degreesOfFreedom) < $p ? $low = $middle : $high = $middle;
        }

        return 0.5 * ($low + $high);
    }

    /** Share of the distribution below t >= 0. */
    public static function below(float $t, float $degreesOfFreedom): float
    {
        return 1.0 - 0.5 * self::incompleteBeta(
            $degreesOfFreedom / ($degreesOfFreedom + $t * $t),
            0.5 * $degreesOfFreedom,
            0.5,
        );
    }

    private static function incompleteBeta(float $x, float $a, float $b): float
    {
        if ($x <= 0.0 || $x >= 1.0) {
            return $x <= 0.0 ? 0.0 : 1.0;
        }
        $front = exp(
            self::logGamma($a + $b)
                - self::logGamma($a)
                - self::logGamma($b)
                + $a * log($x)
                + $b * log(1.0 - $x),
        );

        return $x < ($a + 1.0) / ($a + $b + 2.0)
            ? $front * self::fraction($x, $a, $b) / $a
            : 1.0 - $front * self::fraction(1.0 - $x, $b, $a) / $b;
    }

    /** Continued fraction 26.5.8, evaluated from the front (Lentz 1976). */
    private static function fraction(float $x, float $a, float $b): float
    {
        $c = 1.0;
        $d = 1.0 / (1.0 - ($a + $b) * $x / ($a + 1.0));
        $h = $d;
        for ($m = 1; $m <= 200; ++$m) {
            foreach (
                [
                    $m * ($b - $m) * $x / (($a + 2 * $m - 1) * ($a + 2 * $m)),
                    -($a + $m) * ($a + $b + $m) * $x / (($a + 2 * $m) * ($a + 2 * $m + 1)),
                ] as $step
            ) {
                $d = 1.0 / (1.0 + $step * $d);
                $c = 1.0 + $step / $c;
                $h *= $c * $d;
            }
            if (abs($c * $d - 1.0) < 1e-14) {
                break;
            }
        }

        return $h;
    }

    /** Stirling's series (Abramowitz & Stegun 6.1.41), shifted up to where it is exact to 1e-12. */
    private static function logGamma(float $x): float
    {
        $shift = 0.0;
        for (; $x < 10.0; ++$x) {
            $shift -= log($x);
        }
        $y = 1.0 / ($x * $x);

        return $shift + ($x - 0.5) * log($x) - $x + 0.5 * log(2.0 * \M_PI) + (
            1.0 / 12.0 - $y * (1.0 / 360.0 - $y * (1.0 / 1260.0 - $y / 1680.0))
        ) / $x;
    }
}
