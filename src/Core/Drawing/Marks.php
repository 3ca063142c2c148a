<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Draws the signs of a picture.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Marks
{
    private const RING_TURN = 5.53;
    private const RING_STEPS = 40;

    /** Strokes of figures in tenths of their half height. */
    private const FIGURES = [
        '1' => [
            '-3,-6 1,-10 1,10',
        ],
        '2' => [
            '-5,-6 -3,-9 0,-10 3.5,-9 5,-5.5 3.5,-1 -5,10 5.5,10',
        ],
        '3' => [
            '-5,-7.5 -2,-10 2.5,-9.5 4.5,-5.5 2.5,-1.5 -1,-.5 3,1 5,5 2.5,9 -2,10 -5,7',
        ],
        '4' => [
            '2.5,10 2.5,-10 -6,3.5 6,3.5',
        ],
        '5' => [
            '5,-10 -3.5,-10 -4.5,-1.5 -1,-3 3,-2 5,2 4,7 .5,10 -3,9.5 -5,7',
        ],
        'ear' => [
            '1,10 -1.5,9 -2,5 -5,1 -5,-5 -2,-9.5 3,-9 5.5,-5 4.5,0 1.5,4 1.5,8',
            '-2,-2 -1.5,-5 1,-5.5 2,-2.5 0,.5',
        ],
        '?' => [
            '-4.5,-6 -2,-9.5 2,-9.5 4.5,-6 3.5,-2 0,1 0,4.5',
            '0,8.5 0,10',
        ],
    ];

    public function __construct(
        private Scene $scene,
        private Camera $camera,
    ) {
    }

    /** @return list<string> figures that can be shown */
    public static function figures(): array
    {
        return array_map(strval(...), array_keys(self::FIGURES));
    }

    /** @return list<Layer> behind the hands */
    public function behind(Mark $mark): array
    {
        return MarkKind::Breath === $mark->kind
            ? [new Layer('breath', self::round($this->points($mark)[0], $mark->size ?? 30.0))]
            : [];
    }

    /** @return list<Layer> before them */
    public function before(Mark $mark): array
    {
        $p = $this->points($mark);
        $last = $p[\count($p) - 1];

        return match ($mark->kind) {
            MarkKind::Ring => self::ring(
                $p[0],
                $mark->size ?? 10.0,
            ),
            MarkKind::Contact => self::contact($p[0]),
            MarkKind::Tap => self::tap($p[0], $p[1] ?? null),
            MarkKind::Arrow => Overlays::arrow(
                \count($p) > 2 ? Skin::spline($p) : [$p[0], self::middle($p), $last],
            ),
            MarkKind::Press => self::press($p[0], $last),
            MarkKind::Circle => $this->circle($mark),
            MarkKind::Path => self::haloed(
                'path',
                self::stroke(self::smooth($p), 2.0),
            ),
            MarkKind::Line => [new Layer('line-dots', self::plain($p))],
            MarkKind::Shake => self::shake(
                $p[0],
                $mark->size ?? 22.0,
            ),
            MarkKind::Figure => self::figure(
                $p[0],
                $mark->text,
                $mark->size ?? 14.0,
            ),
            MarkKind::Angle => self::angle(
                $p[0],
                $p[1],
                $p[2],
                $mark->size ?? 16.0,
            ),
            MarkKind::Stream => self::stream($p[0], $last),
            MarkKind::Glow => self::glow(
                $p[0],
                $mark->size ?? 30.0,
            ),
            MarkKind::Breath => [],
        };
    }

    /** @return array{float, float, float, float} left, top, right, bottom of what a mark takes */
    public function box(Mark $mark): array
    {
        $room = match ($mark->kind) {
            MarkKind::Glow, MarkKind::Breath => ($mark->size ?? 30.0) + 1,
            MarkKind::Figure => ($mark->size ?? 14.0) * 1.2,
            MarkKind::Ring, MarkKind::Shake => $mark->size ?? 20.0,
            default => 10.0,
        };
        $points = MarkKind::Circle === $mark->kind ? $this->ringPoints($mark) : $this->points($mark);
        $box = [\INF, \INF, -\INF, -\INF];
        foreach ($points as $q) {
            $box = Polyline::around(
                $box,
                [[$q[0] - $room, $q[1] - $room], [$q[0] + $room, $q[1] + $room]],
            );
        }

        return $box;
    }

    /** @return non-empty-list<Vec> on the screen */
    private function points(Mark $mark): array
    {
        return array_map(
            fn (Place $p): array => $this->camera->project($p->in($this->scene)),
            $mark->places,
        );
    }

    /**
     * @param non-empty-list<Vec> $p
     *
     * @return Vec
     */
    private static function middle(array $p): array
    {
        return Vector::mix($p[0], $p[\count($p) - 1], .5);
    }

    /**
     * @param non-empty-list<Vec> $p
     *
     * @return non-empty-list<Vec>
     */
    private static function smooth(array $p): array
    {
        return \count($p) > 2 ? Skin::spline($p) : $p;
    }

    /** @param Vec $c */
    private static function round(array $c, float $r): string
    {
        return self::disc($c[0], $c[1], $r);
    }

    public static function disc(float $x, float $y, float $r): string
    {
        $at = static fn (float $v): string => PathData::number($v);

        return 'M'.$at($x - $r).' '.$at($y)
            .'a'.$at($r).' '.$at($r).' 0 1 0 '.$at(2 * $r).' 0'
            .'a'.$at($r).' '.$at($r).' 0 1 0 '.$at(-2 * $r).' 0Z';
    }

    /** @param list<Vec>|non-empty-list<array{float, float}> $line */
    private static function stroke(array $line, float $width): string
    {
        return PathData::ribbon($line, static fn (): float => $width);
    }

    /** @param list<Vec> $line */
    private static function plain(array $line): string
    {
        return PathData::from($line, false);
    }

    /** @return list<Layer> */
    private static function haloed(string $class, string $data): array
    {
        return [new Layer('arrow-halo', $data), new Layer($class, $data)];
    }

    /**
     * @param Vec $c
     *
     * @return list<Layer>
     */
    private static function glow(array $c, float $r): array
    {
        return [new Layer('glow', self::round($c, $r)), new Layer('glow', self::round($c, $r * .7))];
    }

    /**
     * @param Vec $c
     *
     * @return list<Layer>
     */
    private static function ring(array $c, float $r): array
    {
        return [new Layer('ring-halo', self::round($c, $r)), new Layer('ring', self::round($c, $r))];
    }

    /**
     * @param Vec $c
     *
     * @return list<Layer>
     */
    private static function contact(array $c): array
    {
        return [
            new Layer('contact-halo', self::round($c, 4.4)),
            new Layer(
                'contact',
                self::round($c, 4.4).self::round($c, 1.2),
            ),
        ];
    }

    /**
     * @param Vec  $c
     * @param ?Vec $from where the tapping hand comes from: strokes fly to the other side
     *
     * @return list<Layer>
     */
    private static function tap(array $c, ?array $from): array
    {
        $turn = null === $from
            ? -\M_PI / 2
            : atan2(
                $c[1] - $from[1],
                $c[0] - $from[0],
            );
        $data = '';
        foreach ([-1.15, -.6, 0.0, .6, 1.15] as $a) {
            $u = cos($turn + $a);
            $v = sin($turn + $a);
            $data .= self::stroke(
                [[$c[0] + 9 * $u, $c[1] + 9 * $v], [$c[0] + 16 * $u, $c[1] + 16 * $v]],
                1.9,
            );
        }

        return self::haloed('arrow', $data);
    }

    /**
     * @param Vec $from
     * @param Vec $to
     *
     * @return list<Layer>
     */
    private static function press(array $from, array $to): array
    {
        $d = max(1e-6, hypot($to[0] - $from[0], $to[1] - $from[1]));
        $u = ($to[0] - $from[0]) / $d;
        $v = ($to[1] - $from[1]) / $d;
        $bar = self::stroke([
            [$to[0] + 2 * $u - 9 * $v, $to[1] + 2 * $v + 9 * $u], [$to[0] + 2 * $u + 9 * $v, $to[1] + 2 * $v - 9 * $u],
        ], 2.4);

        return [
            ...Overlays::arrow(
                [$from, Vector::mix($from, $to, .5), $to],
                null,
                0.0,
                3.4,
            ),
            ...self::haloed('arrow', $bar),
        ];
    }

    /** @return non-empty-list<Vec> */
    private function ringPoints(Mark $mark): array
    {
        [$c, $a, $b] = $this->points($mark);
        [$u, $v] = [Vector::sub($a, $c), Vector::sub($b, $c)];
        $at = static fn (int $k): array => Vector::add(
            $c,
            Vector::add(
                Vector::times(
                    $u,
                    cos(self::RING_TURN * $k / self::RING_STEPS),
                ),
                Vector::times(
                    $v,
                    sin(self::RING_TURN * $k / self::RING_STEPS),
                ),
            ),
        );

        return array_map($at, range(0, self::RING_STEPS));
    }

    /** @return list<Layer> */
    private function circle(Mark $mark): array
    {
        return Overlays::arrow($this->ringPoints($mark));
    }

    /**
     * @param Vec $c
     *
     * @return list<Layer>
     */
    private static function shake(array $c, float $r): array
    {
        $data = '';
        foreach ([0.0, \M_PI] as $side) {
            foreach ([.8, 1.05] as $share) {
                $arc = [];
                for ($k = -4; $k <= 4; ++$k) {
                    $a = $side + $k * .1;
                    $arc[] = [$c[0] + $r * $share * cos($a), $c[1] + $r * $share * sin($a)];
                }
                $data .= self::stroke($arc, 1.7);
            }
        }

        return self::haloed('arrow', $data);
    }

    /**
     * @param Vec $c
     *
     * @return list<Layer>
     */
    private static function figure(array $c, string $text, float $size): array
    {
        $data = '';
        foreach (self::FIGURES[$text] ?? [] as $stroke) {
            $line = [];
            foreach (explode(' ', $stroke) as $point) {
                [$x, $y] = array_map(floatval(...), explode(',', $point)) + [0.0, 0.0];
                $line[] = [$c[0] + $x * $size / 10, $c[1] + $y * $size / 10, 0.0];
            }
            $isStraight = \in_array($text, ['1', '4'], true);
            $data .= self::stroke(
                $isStraight ? $line : Skin::spline($line),
                max(2.0, $size * .2),
            );
        }

        return [new Layer('arrow-halo', $data), new Layer('figure', $data)];
    }

    /**
     * @param Vec $c
     * @param Vec $a
     * @param Vec $b
     *
     * @return list<Layer>
     */
    private static function angle(array $c, array $a, array $b, float $r): array
    {
        $from = atan2($a[1] - $c[1], $a[0] - $c[0]);
        $turn = fmod(atan2($b[1] - $c[1], $b[0] - $c[0]) - $from + 3 * \M_PI, 2 * \M_PI) - \M_PI;
        $arc = [];
        for ($k = 0; $k <= 14; ++$k) {
            $t = $from + $turn * $k / 14;
            $arc[] = [$c[0] + $r * cos($t), $c[1] + $r * sin($t)];
        }
        $data = self::stroke(
            [$c, [$c[0] + 1.5 * $r * cos($from), $c[1] + 1.5 * $r * sin($from)]],
            1.2,
        )
            .self::stroke(
                [$c, [$c[0] + 1.5 * $r * cos($from + $turn), $c[1] + 1.5 * $r * sin($from + $turn)]],
                1.2,
            )
            .self::stroke($arc, 2.0);

        return self::haloed('arrow', $data);
    }

    /**
     * @param Vec $from
     * @param Vec $to
     *
     * @return list<Layer>
     */
    private static function stream(array $from, array $to): array
    {
        $data = '';
        [$u, $v] = [$to[0] - $from[0], $to[1] - $from[1]];
        foreach ([-.16, 0.0, .16] as $fan) {
            $line = [];
            for ($k = 0; $k <= 12; ++$k) {
                $t = $k / 12;
                $aside = $fan * $t + .05 * sin(2 * \M_PI * $t);
                $line[] = [$from[0] + $u * $t - $v * $aside, $from[1] + $v * $t + $u * $aside];
            }
            $data .= PathData::ribbon($line, static fn (float $t): float => .6 + 1.1 * $t);
        }

        return [new Layer('water', $data)];
    }
}
