<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * What is drawn under and over a hand: the start pose as a ghost, the way as an arrow, the table, contact zones.
 *
 * @phpstan-import-type Vec from Vector
 */
final class Overlays
{
    private const SHORTEST_WAY = 2.0;
    private const PLAIN_WAY = 11.0;

    /** @return list<Layer> pale fill and outline of the start pose */
    public static function ghost(Scene $scene, Camera $camera): array
    {
        $contours = new Contours(new Projection($scene, $camera));
        $lines = $contours->lines();
        $fill = $outline = '';
        foreach ($contours->loops($lines) as $loop) {
            $fill .= PathData::from(Polyline::simplify($loop));
        }
        foreach ($lines as [$line, , $closed]) {
            if (Polyline::length($line) > 12) {
                $outline .= PathData::from(Polyline::simplify($line), $closed);
            }
        }

        return [new Layer('ghost-fill', $fill, true), new Layer('ghost-line', $outline)];
    }

    /**
     * Motion arrow along a path on the screen, pushed outward from a pivot so that it runs beside the hand.
     *
     * @param list<Vec> $path
     * @param ?Vec      $pivot
     *
     * @return list<Layer> empty when the way is too short to show
     */
    public static function arrow(
        array $path,
        ?array $pivot = null,
        float $push = 9.0,
        float $width = 2.6,
    ): array {
        $length = Polyline::length($path);
        if ([] === $path || $length < self::SHORTEST_WAY) {
            return [];
        }
        if ($length < self::PLAIN_WAY) { // a way too short to be seen is drawn longer, in its own direction
            $end = $path[\count($path) - 1];
            $path = array_map(
                static fn (array $p): array => Vector::add(
                    $end,
                    Vector::times(Vector::sub($p, $end), self::PLAIN_WAY / $length),
                ),
                $path,
            );
            $length = self::PLAIN_WAY;
        }
        $width *= min(1.0, $length / 14);
        if (null !== $pivot) {
            $path = array_map(static function (array $p) use ($pivot, $push): array {
                $d = max(1.0, hypot($p[0] - $pivot[0], $p[1] - $pivot[1]));

                return [
                    $p[0] + ($p[0] - $pivot[0]) / $d * $push,
                    $p[1] + ($p[1] - $pivot[1]) / $d * $push,
                    $p[2],
                ];
            }, $path);
        }
        $line = Polyline::resample($path, min(1.5, $length / 8));
        $n = \count($line);
        $tip = $line[$n - 1];
        $before = $line[max(0, $n - 6)];
        $d = max(1e-6, hypot($tip[0] - $before[0], $tip[1] - $before[1]));
        $ux = ($tip[0] - $before[0]) / $d;
        $uy = ($tip[1] - $before[1]) / $d;
        $h = $width * 3.1;
        $head = PathData::from([
            [$tip[0], $tip[1]],
            [$tip[0] - $ux * $h - $uy * $h * .55, $tip[1] - $uy * $h + $ux * $h * .55],
            [$tip[0] - $ux * $h * .7, $tip[1] - $uy * $h * .7],
            [$tip[0] - $ux * $h + $uy * $h * .55, $tip[1] - $uy * $h - $ux * $h * .55],
        ]);
        $data = PathData::ribbon(
            \array_slice($line, 0, $n - 4),
            static fn (float $t): float => $width * (.45 + .55 * $t),
        ).$head;

        return [new Layer('arrow-halo', $data), new Layer('arrow', $data)];
    }

    /** @return list<Layer> a table seen from the side: a line with short hatches */
    public static function table(float $y, float $from, float $to): array
    {
        $hatch = '';
        for ($x = $from + 4; $x < $to; $x += 9) {
            $hatch .= 'M'.PathData::number($x).' '.PathData::number($y + 2.4).'l-4.5 5';
        }

        return [
            new Layer('table-hatch', $hatch),
            new Layer(
                'table-line',
                'M'.PathData::number($from).' '.PathData::number($y).'H'.PathData::number($to),
            ),
        ];
    }

    /**
     * Contact zone on the skin, an ellipse in a frame: allowed is dotted with a thin rim, keep off cross-hatched
     * with a thick dashed one. Nothing when the skin does not face the viewer.
     *
     * @return list<Layer>
     */
    public static function zone(
        Camera $camera,
        Frame $frame,
        Ellipse $patch,
        bool $allowed,
    ): array {
        if (Vector::dot($frame->z, $camera->toViewer) * ($patch->z < 0 ? -1 : 1) < .3) {
            return [];
        }
        $rim = [];
        for ($i = 0; $i < 32; ++$i) {
            [$x, $y] = $patch->rim(2 * \M_PI * $i / 32);
            $p = $camera->project($frame->at($x, $y, $patch->z));
            $rim[] = [$p[0], $p[1]];
        }
        $name = $allowed ? 'zone-allowed' : 'zone-off';

        return [
            new Layer('zone-ground', PathData::from($rim)),
            new Layer($name.'-pattern', $allowed ? self::dots($rim) : self::hatch($rim)),
            new Layer($name.'-rim', PathData::from($rim)),
        ];
    }

    /** @param list<array{float, float}> $rim */
    private static function dots(array $rim): string
    {
        $data = '';
        if ([] === $rim) {
            return '';
        }
        [$left, $right, $top, $bottom] = [
            min(array_column($rim, 0)),
            max(array_column($rim, 0)),
            min(array_column($rim, 1)),
            max(array_column($rim, 1)),
        ];
        for ($y = $top, $row = 0; $y < $bottom; $y += 3.5, ++$row) {
            for ($x = $left + ($row % 2) * 2; $x < $right; $x += 4) {
                if (self::isInside($rim, $x, $y)) {
                    $data .= 'M'
                        .PathData::number($x - .9)
                        .' '
                        .PathData::number($y)
                        .'a.9.9 0 1 0 1.8 0a.9.9 0 1 0-1.8 0';
                }
            }
        }

        return $data;
    }

    /** @param list<array{float, float}> $rim */
    private static function hatch(array $rim): string
    {
        $data = '';
        foreach ([1.0, -1.0] as $slope) {
            for ($offset = -400.0; $offset < 400.0; $offset += 4) {
                $hits = [];
                foreach ($rim as $i => $a) {
                    $b = $rim[($i + 1) % \count($rim)];
                    $da = $a[1] - $slope * $a[0] - $offset;
                    $db = $b[1] - $slope * $b[0] - $offset;
                    if (($da < 0) !== ($db < 0)) {
                        $t = $da / ($da - $db);
                        $hits[] = [$a[0] + ($b[0] - $a[0]) * $t, $a[1] + ($b[1] - $a[1]) * $t];
                    }
                }
                if (2 === \count($hits)) {
                    $data .= PathData::from($hits, false);
                }
            }
        }

        return $data;
    }

    /** @param list<array{float, float}> $rim */
    private static function isInside(array $rim, float $x, float $y): bool
    {
        $inside = false;
        foreach ($rim as $i => $a) {
            $b = $rim[($i + 1) % \count($rim)];
            if (
                ($a[1] > $y) !== ($b[1] > $y)
                && $x < ($b[0] - $a[0]) * ($y - $a[1]) / ($b[1] - $a[1]) + $a[0]
            ) {
                $inside = !$inside;
            }
        }

        return $inside;
    }
}
