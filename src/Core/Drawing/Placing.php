<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Puts second hands into a scene, from pads and frames and never by place on the screen.
 *
 * @phpstan-import-type Vec from Vector
 */
final class Placing
{
    /** Copies a finished hand into a scene as another body, optionally as its mirror image. */
    public static function hand(
        Scene $into,
        Scene $from,
        Frame $at,
        bool $mirror = false,
        string $body = 'helper',
    ): void {
        $m = $mirror ? -1.0 : 1.0;
        $n = \count($into->spheres);
        $as = static fn (string $b): string => 'hand' === $b ? $body : $b;
        $place = static fn (float $x, float $y, float $z): array => $at->at($m * $x, $y, $z);
        $direct = static fn (float $x, float $y, float $z): array => Vector::sub(
            $place($x, $y, $z),
            $at->origin,
        );
        foreach ($from->spheres as $s) {
            [$x, $y, $z] = $place($s[0], $s[1], $s[2]);
            $into->spheres[] = [$x, $y, $z, $s[3]];
        }
        $number = $into->nextHand();
        $solids = [];
        foreach ($from->hulls as [$ids, $group, $b, $solid]) {
            if ($solid > 0) {
                $solids[$solid] ??= $into->beginSolid($from->tones[$solid]);
                $into->endSolid();
            }
            $moved = array_map(static fn (int $i): int => $i + $n, $ids);
            $into->hulls[] = [$moved, $group, $as($b), $solids[$solid] ?? $number];
        }
        foreach ($from->anchors as $name => $anchor) {
            $into->anchors['other.'.$name] ??= $place(...$anchor);
        }
        foreach ($from->frames as $name => $f) {
            $into->frames['other.'.$name] ??= new Frame(
                $place(...$f->origin),
                Vector::times($direct(...$f->x), $m),
                $direct(...$f->y),
                $direct(...$f->z),
            );
        }
        foreach ($from->open as $i => $axis) {
            $into->open[$i + $n] = $direct(...$axis);
        }
        foreach ($from->marks as [$kind, $points, $b, $part]) {
            $into->marks[] = [
                $kind,
                array_map(
                    static fn (array $q): array => [$place(...$q[0]), $direct(...$q[1])],
                    $points,
                ),
                $as($b),
                $part,
            ];
        }
    }

    /** A sleeve with a cuff tells a helper from the client without colour. */
    public static function sleeve(Scene $scene, int $n = 16): void
    {
        $scene->body = 'sleeve';
        $scene->beginSolid();
        [$arm, $far] = [$scene->frames['arm'], $scene->frames['far']];
        $axis = $scene->open[array_key_first($scene->open) ?? 0];
        $ring = static fn (Frame $f, float $y, float $rx, float $rz): array => array_map(
            static fn (int $k): int => $scene->ball(
                $f->at(
                    ($rx - 2) * cos(2 * \M_PI * $k / $n),
                    $y,
                    ($rz - 2) * sin(2 * \M_PI * $k / $n) - .7,
                ),
                2.0,
            ),
            range(0, $n - 1),
        );
        $cuff = $ring($arm, -32.0, 33.0, 21.5);
        $end = $ring($far, -71.5, 40.0, 26.0);
        foreach ($end as $i) {
            $scene->open[$i] = $axis;
        }
        for ($k = 0; $k < $n; ++$k) {
            $j = ($k + 1) % $n;
            $scene->hull('thing', $cuff[$k], $cuff[$j], $end[$k]);
            $scene->hull('thing', $cuff[$j], $end[$k], $end[$j]);
        }
        $scene->endSolid();
        $scene->body = 'hand';
    }
}
