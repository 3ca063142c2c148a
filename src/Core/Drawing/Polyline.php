<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Measuring, smoothing and thinning of lines on the screen.
 *
 * @phpstan-import-type Sample from Contours
 */
final class Polyline
{
    /** Millimetres that a point may lie off the line that it is left out of. */
    public const TOLERANCE = .08;
    private const HARD_ROUNDS = 4;
    private const SOFT_ROUNDS = 26;

    /** @param list<non-empty-list<float>> $line */
    public static function length(array $line): float
    {
        $sum = 0.0;
        for ($i = 1, $n = \count($line); $i < $n; ++$i) {
            $sum += hypot(
                $line[$i][0] - $line[$i - 1][0],
                $line[$i][1] - $line[$i - 1][1],
            );
        }

        return $sum;
    }

    /**
     * @param array{float, float, float, float}  $box  left, top, right, bottom
     * @param list<array{0: float, 1: float}>    $line
     *
     * @return array{float, float, float, float} the same with the line inside it as well
     */
    public static function around(array $box, array $line): array
    {
        foreach ($line as $p) {
            $box = [
                min($box[0], $p[0]),
                min($box[1], $p[1]),
                max($box[2], $p[0]),
                max($box[3], $p[1]),
            ];
        }

        return $box;
    }

    /** @param list<non-empty-list<float>> $line */
    public static function area(array $line): float
    {
        $sum = 0.0;
        $n = \count($line);
        foreach ($line as $i => $p) {
            $q = $line[($i + 1) % $n];
            $sum += $p[0] * $q[1] - $q[0] * $p[1];
        }

        return abs($sum) / 2;
    }

    /**
     * @template T of non-empty-list<float>
     *
     * @param non-empty-list<T> $line
     *
     * @return non-empty-list<T> points at even distances; all values go along
     */
    public static function resample(array $line, float $step): array
    {
        $out = [$line[0]];
        $carried = 0.0;
        $n = \count($line);
        for ($i = 1; $i < $n; ++$i) {
            $a = $line[$i - 1];
            $b = $line[$i];
            $d = hypot($b[0] - $a[0], $b[1] - $a[1]);
            if ($d < 1e-9) {
                continue;
            }
            $at = $step - $carried;
            while ($at <= $d) {
                $out[] = self::between($a, $b, $at / $d);
                $at += $step;
            }
            $carried = $d - ($at - $step);
        }
        $last = $line[$n - 1];
        $end = $out[\count($out) - 1];
        if (hypot($last[0] - $end[0], $last[1] - $end[1]) > $step * .3) {
            $out[] = $last;
        } elseif (\count($out) > 1) {
            $out[\count($out) - 1] = $last;
        }

        return $out;
    }

    /**
     * @template T of non-empty-list<float>
     *
     * @param T $a
     * @param T $b
     *
     * @return T infinite values do not blend, the nearer one counts
     */
    private static function between(array $a, array $b, float $t): array
    {
        /** @var T $q */
        $q = array_map(
            static fn (float $v, float $w): float => match (true) {
                !(\INF === $v || \INF === $w) => $v + ($w - $v) * $t,
                $t < .5 => $v,
                default => $w,
            },
            $a,
            $b,
        );

        return $q;
    }

    /**
     * Rounds the kinks where hulls meet: palm and forearm strongly, digits slightly, so that finger tips do not shrink.
     *
     * @param non-empty-list<Sample> $line
     *
     * @return non-empty-list<Sample>
     */
    public static function soften(array $line, bool $closed): array
    {
        $n = \count($line);
        if ($n < 4) {
            return $line;
        }
        $soft = self::fadedSoftness(array_column($line, 6));
        $softest = max($soft);
        [$x, $y, $nx, $ny] = [
            array_column($line, 0),
            array_column($line, 1),
            array_column($line, 3),
            array_column($line, 4),
        ];
        $from = $closed ? 0 : 1;
        $to = $closed ? $n : $n - 1;
        for ($round = 0; $round < self::SOFT_ROUNDS; ++$round) {
            $hard = $round < self::HARD_ROUNDS;
            if (!$hard && 0.0 === $softest) {
                break;
            }
            [$x0, $y0, $nx0, $ny0] = [$x, $y, $nx, $ny];
            for ($i = $from; $i < $to; ++$i) {
                $f = $hard ? .5 : .5 * $soft[$i];
                if (0.0 === $f) {
                    continue;
                }
                $a = 0 === $i ? $n - 1 : $i - 1;
                $b = $i === $n - 1 ? 0 : $i + 1;
                $x[$i] = $x0[$i] + $f * (.5 * ($x0[$a] + $x0[$b]) - $x0[$i]);
                $y[$i] = $y0[$i] + $f * (.5 * ($y0[$a] + $y0[$b]) - $y0[$i]);
                $nx[$i] = $nx0[$i] + $f * (.5 * ($nx0[$a] + $nx0[$b]) - $nx0[$i]);
                $ny[$i] = $ny0[$i] + $f * (.5 * ($ny0[$a] + $ny0[$b]) - $ny0[$i]);
            }
        }
        $out = [];
        foreach ($line as $i => $p) {
            $out[] = [$x[$i], $y[$i], $p[2], $nx[$i], $ny[$i], $p[5], $soft[$i]];
        }

        return $out;
    }

    /**
     * Lets softness fade out along the line.
     *
     * @param non-empty-list<float> $soft
     *
     * @return non-empty-list<float>
     */
    private static function fadedSoftness(array $soft): array
    {
        $n = \count($soft);
        if (0.0 === max($soft) || 1.0 === min($soft)) {
            return $soft;
        }
        for ($k = 0; $k < 10; ++$k) {
            $old = $soft;
            $soft = [$old[0]];
            for ($i = 1; $i < $n - 1; ++$i) {
                $faded = .46 * ($old[$i - 1] + $old[$i + 1]);
                $soft[] = $faded > $old[$i] ? $faded : $old[$i];
            }
            $soft[] = $old[$n - 1];
        }

        return $soft;
    }

    /**
     * Drops points that lie on the line anyway (Douglas-Peucker).
     *
     * @template T of non-empty-list<float>
     *
     * @param list<T> $points
     *
     * @return list<T>
     */
    public static function simplify(array $points, float $tolerance = self::TOLERANCE): array
    {
        $n = \count($points);
        if ($n < 3) {
            return $points;
        }
        $keep = [0 => true, $n - 1 => true];
        $stack = [[0, $n - 1]];
        while ([] !== $stack) {
            [$a, $b] = array_pop($stack);
            $best = $tolerance;
            $at = null;
            [$ax, $ay] = $points[$a];
            $dx = $points[$b][0] - $ax;
            $dy = $points[$b][1] - $ay;
            $l = hypot($dx, $dy);
            for ($i = $a + 1; $i < $b; ++$i) {
                $p = $points[$i];
                $d = $l < 1e-6
                    ? hypot($p[0] - $ax, $p[1] - $ay)
                    : abs(($p[0] - $ax) * $dy - ($p[1] - $ay) * $dx) / $l;
                if ($d > $best) {
                    $best = $d;
                    $at = $i;
                }
            }
            if (null !== $at) {
                $keep[$at] = true;
                $stack[] = [$a, $at];
                $stack[] = [$at, $b];
            }
        }
        ksort($keep);

        return array_values(array_intersect_key($points, $keep));
    }
}
