<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Makes long lines of visible runs: cuts doubled ends, chains nearest ends, leads free ends up to a line, drops noise.
 *
 * @phpstan-import-type Sample from Contours
 * @phpstan-import-type Run from Contours
 */
final class LineJoiner
{
    private const REACH = 2.6;
    private const CELL = 3;
    private const SHORTEST_FREE_LINE = 14.0;

    /**
     * @param list<Run> $runs
     *
     * @return list<Run>
     */
    public static function join(array $runs): array
    {
        return self::meet(self::chain(self::trim($runs), self::REACH));
    }

    /**
     * Joins runs of one body whose ends meet, nearest pairs first; going straight on wins over folding back.
     *
     * @param list<Run> $runs
     *
     * @return list<Run>
     */
    public static function chain(array $runs, float $reach): array
    {
        $runs = array_values(array_filter($runs, static fn (array $r): bool => \count($r[0]) > 1));
        $link = self::links($runs, $reach);
        $done = [];
        $out = [];
        $n = \count($runs);
        foreach ([true, false] as $fromFreeEnds) {
            for ($e = 0; $e < 2 * $n; $e += $fromFreeEnds ? 1 : 2) {
                if (isset($done[$e >> 1]) || ($fromFreeEnds && isset($link[$e]))) {
                    continue;
                }
                $points = [];
                $end = $e;
                while (!isset($done[$end >> 1])) {
                    $done[$end >> 1] = true;
                    $line = $runs[$end >> 1][0];
                    array_push($points, ...(1 === $end % 2 ? array_reverse($line) : $line));
                    if (!isset($link[$end ^ 1])) {
                        break;
                    }
                    $end = $link[$end ^ 1];
                }
                $out[] = [$points, $runs[$e >> 1][1]];
            }
        }

        return $out;
    }

    /**
     * @param list<Run> $runs
     *
     * @return array<int, int> end 2i is the beginning of run i, 2i+1 its end
     */
    private static function links(array $runs, float $reach): array
    {
        $tips = $directions = $bodies = $lengths = $cells = [];
        foreach ($runs as $i => [$line, $body]) {
            $n = \count($line);
            $k = min(3, $n - 1);
            foreach (
                [
                    [$line[$k], $line[0]],
                    [$line[$n - 1 - $k], $line[$n - 1]],
                ] as $side => [$inner, $tip]
            ) {
                $e = 2 * $i + $side;
                $d = max(1e-6, hypot($tip[0] - $inner[0], $tip[1] - $inner[1]));
                $tips[$e] = $tip;
                $directions[$e] = [($tip[0] - $inner[0]) / $d, ($tip[1] - $inner[1]) / $d];
                $bodies[$e] = $body;
                $lengths[$e] = $n;
                $cells[(int) floor($tip[0] / $reach) * 8192 + (int) floor($tip[1] / $reach)][] = $e;
            }
        }
        $candidates = [];
        foreach ($tips as $i => $p) {
            $column = (int) floor($p[0] / $reach);
            $row = (int) floor($p[1] / $reach);
            for ($a = -1; $a <= 1; ++$a) {
                for ($b = -1; $b <= 1; ++$b) {
                    foreach ($cells[($column + $a) * 8192 + $row + $b] ?? [] as $j) {
                        if (
                            $j <= $i
                            || $bodies[$i] !== $bodies[$j]
                            || ($i >> 1 === $j >> 1 && $lengths[$i] < 20)
                        ) {
                            continue;
                        }
                        $q = $tips[$j];
                        $outer = $p[5] > Contours::OUTER && $q[5] > Contours::OUTER;
                        $d = hypot($p[0] - $q[0], $p[1] - $q[1]) + (
                            $outer ? 0.0 : .08 * min(8.0, abs($p[2] - $q[2]))
                        );
                        if ($d < $reach) {
                            $candidates[] = [
                                $d + .8 * (
                                    1
                                        + $directions[$i][0] * $directions[$j][0]
                                        + $directions[$i][1] * $directions[$j][1]
                                ),
                                $i,
                                $j,
                            ];
                        }
                    }
                }
            }
        }
        sort($candidates);
        $link = [];
        foreach ($candidates as [, $i, $j]) {
            if (!isset($link[$i]) && !isset($link[$j])) {
                $link[$i] = $j;
                $link[$j] = $i;
            }
        }

        return $link;
    }

    /**
     * Nearly coinciding contours are both seen for a while: cut the doubled ends of the shorter one.
     *
     * @param list<Run> $runs
     *
     * @return list<Run>
     */
    private static function trim(array $runs): array
    {
        usort($runs, static fn (array $a, array $b): int => \count($b[0]) <=> \count($a[0]));
        $hash = [];
        foreach ($runs as $r => [$line, $body]) {
            foreach ([0, 1] as $_) {
                $k = 0;
                $n = \count($line);
                while ($k < $n && self::hasTwin($line[$k], $hash)) {
                    ++$k;
                }
                if ($k > 1 && Polyline::length(\array_slice($line, 0, $k)) > 1.5) {
                    $line = \array_slice($line, $k);
                }
                $line = array_reverse($line);
            }
            $runs[$r] = [$line, $body];
            if (\count($line) > 1) {
                foreach ($line as $point) {
                    $hash[(int) floor($point[0]) * 8192 + (int) floor($point[1])][] = $point;
                }
            }
        }

        return $runs;
    }

    /**
     * @param Sample                    $p
     * @param array<int, list<Sample>> $hash
     */
    private static function hasTwin(array $p, array $hash): bool
    {
        $column = (int) floor($p[0]);
        $row = (int) floor($p[1]);
        for ($a = -1; $a <= 1; ++$a) {
            for ($b = -1; $b <= 1; ++$b) {
                foreach ($hash[($column + $a) * 8192 + $row + $b] ?? [] as $q) {
                    $dx = $q[0] - $p[0];
                    $dy = $q[1] - $p[1];
                    if (abs(
                        $dx * $p[3] + $dy * $p[4],
                    ) < .5 && $dx * $dx + $dy * $dy < .49 && $q[3] * $p[3] + $q[4] * $p[4] > .9
                        && (
                            abs($q[2] - $p[2]) < 10
                            || ($q[5] > Contours::OUTER && $p[5] > Contours::OUTER)
                        )) {
                        return true;
                    }
                }
            }
        }

        return false;
    }

    /**
     * A free end that stops just short of another line is led up to it; a short inner line that touches nothing
     * is noise.
     *
     * @param list<Run> $chains
     *
     * @return list<Run>
     */
    private static function meet(array $chains): array
    {
        $all = [];
        foreach ($chains as $c => [$line]) {
            foreach ($line as $i => $p) {
                $all[
                    (int) floor($p[0] / self::CELL) * 4096 + (int) floor($p[1] / self::CELL)
                ][] = [$p[0], $p[1], $c, $i];
            }
        }
        foreach ($chains as $c => [$line, $body]) {
            foreach ([0, 1] as $_) {
                $line = array_reverse(self::ledOn($line, $c, $all));
            }
            $chains[$c] = [$line, $body];
        }
        $kept = [];
        foreach ($chains as $c => [$line, $body]) {
            if ([] === $line) {
                continue;
            }
            $long = Polyline::length($line) > self::SHORTEST_FREE_LINE
                || max(array_column($line, 5)) > Contours::OUTER;
            if (
                $long
                || !self::isFree($line[0], $c, $all)
                || !self::isFree($line[\count($line) - 1], $c, $all)
            ) {
                $kept[] = [$line, $body];
            }
        }

        return $kept;
    }

    /**
     * @param list<Sample>                                    $line
     * @param array<int, list<array{float, float, int, int}>> $all
     *
     * @return list<Sample>
     */
    private static function ledOn(array $line, int $chain, array $all): array
    {
        $n = \count($line);
        $end = $line[$n - 1];
        $before = $line[max(0, $n - 4)];
        $best = self::REACH;
        $at = null;
        foreach (self::around($end, $all) as $q) {
            $d = hypot($q[0] - $end[0], $q[1] - $end[1]);
            if ($d >= $best || $d < .3) {
                continue;
            }
            if (
                $q[2] === $chain
                && Polyline::length(\array_slice($line, min($q[3], max(0, $n - 1 - $q[3])))) < 8
            ) {
                continue;
            }
            if (
                ($q[0] - $end[0]) * (
                    $end[0] - $before[0]
                ) + ($q[1] - $end[1]) * ($end[1] - $before[1]) > 0
            ) {
                $best = $d;
                $at = $q;
            }
        }
        if (null !== $at && hypot($line[0][0] - $end[0], $line[0][1] - $end[1]) > 3) {
            $line[] = [$at[0], $at[1], $end[2], $end[3], $end[4], $end[5], $end[6]];
        }

        return $line;
    }

    /**
     * @param Sample                                          $end
     * @param array<int, list<array{float, float, int, int}>> $all
     */
    private static function isFree(array $end, int $chain, array $all): bool
    {
        foreach (self::around($end, $all) as $q) {
            if ($q[2] !== $chain && hypot($q[0] - $end[0], $q[1] - $end[1]) < 3) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param Sample                                          $p
     * @param array<int, list<array{float, float, int, int}>> $all
     *
     * @return iterable<array{float, float, int, int}>
     */
    private static function around(array $p, array $all): iterable
    {
        $column = (int) floor($p[0] / self::CELL);
        $row = (int) floor($p[1] / self::CELL);
        for ($i = -1; $i <= 1; ++$i) {
            for ($j = -1; $j <= 1; ++$j) {
                foreach ($all[($column + $i) * 4096 + $row + $j] ?? [] as $q) {
                    yield $q;
                }
            }
        }
    }
}
