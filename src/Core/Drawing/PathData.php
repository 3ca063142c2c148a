<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Compact SVG path data: one absolute start, then relative steps in tenths of a millimetre, without drift. */
final class PathData
{
    /** @param list<non-empty-list<float>> $points */
    public static function from(array $points, bool $close = true): string
    {
        if (\count($points) < 2) {
            return '';
        }
        $data = '';
        $x = $y = 0;
        foreach ($points as $i => $p) {
            $u = (int) round($p[0] * 10);
            $v = (int) round($p[1] * 10);
            if (0 === $i) {
                $data = 'M'.self::number($u / 10).' '.self::number($v / 10).'l';
            } elseif ($u !== $x || $v !== $y || 1 === $i) {
                $a = self::tenths($u - $x);
                $b = self::tenths($v - $y);
                $data .= ($i > 1 && '-' !== $a[0] ? ' ' : '').$a.('-' === $b[0] ? '' : ' ').$b;
            }
            $x = $u;
            $y = $v;
        }

        return $data.($close ? 'Z' : '');
    }

    public static function number(float $value): string
    {
        $text = rtrim(rtrim(number_format($value, 1, '.', ''), '0'), '.');

        return '-0' === $text ? '0' : $text;
    }

    /**
     * An ink stroke: a filled shape of varying width along a line.
     *
     * @template T of non-empty-list<float>
     *
     * @param list<T>                   $line
     * @param \Closure(float, T): float $width at a share of the line and its point
     */
    public static function ribbon(
        array $line,
        \Closure $width,
        bool $closed = false,
        float $tolerance = Polyline::TOLERANCE,
    ): string {
        $n = \count($line);
        if ($n < 2) {
            return '';
        }
        $left = $right = [];
        for ($i = 0; $i < $n; ++$i) {
            $a = $line[max(0, $i - 1)];
            $b = $line[min($n - 1, $i + 1)];
            if ($closed && (0 === $i || $i === $n - 1)) {
                $a = $line[$n - 2];
                $b = $line[1];
            }
            $dx = $b[0] - $a[0];
            $dy = $b[1] - $a[1];
            $d = max(1e-6, hypot($dx, $dy));
            $h = $width($i / ($n - 1), $line[$i]) / 2;
            $left[] = [$line[$i][0] - $dy / $d * $h, $line[$i][1] + $dx / $d * $h];
            $right[] = [$line[$i][0] + $dy / $d * $h, $line[$i][1] - $dx / $d * $h];
        }
        $left = Polyline::simplify($left, $tolerance);
        $right = Polyline::simplify(array_reverse($right), $tolerance);

        return $closed ? self::from($left).self::from($right) : self::from([...$left, ...$right]);
    }

    private static function tenths(int $n): string
    {
        $a = abs($n);

        return ($n < 0 ? '-' : '').(match (true) {
            $a >= 10 => intdiv($a, 10),
            0 !== $a % 10 => '',
            default => '0',
        }).(0 !== $a % 10 ? '.'.($a % 10) : '');
    }
}
