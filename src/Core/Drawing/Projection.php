<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A scene seen by a camera: spheres become circles, hulls get a front depth at every point of the screen in
 * closed form.
 *
 * The inner loops are written for speed: plain arrays, nothing called that can be counted beforehand.
 *
 * @phpstan-import-type Vec from Vector
 *
 * @phpstan-type Circle array{float, float, float, float}
 * @phpstan-type Plane array{Vec, float, array{Vec, Vec, Vec}}
 * @phpstan-type Cone array{float, float, float, float, float, float, float, float, float, float}
 * @phpstan-type Cut array{float, float, float, float}
 * @phpstan-type Primitive array{
 *     ids: non-empty-list<int>,
 *     group: string,
 *     body: string,
 *     solid: int,
 *     z: float,
 *     box: array{float, float, float, float},
 *     planes: list<Plane>,
 *     cones: list<Cone>,
 * }
 */
final class Projection
{
    private const CELL = 6.0;
    private const SLEEVE_NEARER = 6.0;

    /** @var list<Circle> x, y, depth, radius */
    public readonly array $circles;

    /** @var list<Primitive> */
    public readonly array $primitives;

    /** @var list<float> the nearest that each primitive comes */
    public readonly array $nearest;

    /** @var array<int, list<int>> primitives by grid cell, nearest first */
    private array $grid = [];

    /** @var array<int, Cut|null> */
    private array $cuts = [];

    public function __construct(
        public readonly Scene $scene,
        public readonly Camera $camera,
    ) {
        $circles = [];
        foreach ($scene->spheres as $s) {
            [$x, $y, $z] = $camera->project([$s[0], $s[1], $s[2]]);
            $circles[] = [$x, $y, $z, $s[3]];
        }
        $this->circles = $circles;
        $primitives = $nearest = [];
        foreach ($scene->hulls as [$ids, $group, $body, $solid]) {
            $primitives[] = $this->primitive($ids, $group, $body, $solid);
            $nearest[] = max(
                array_map(static fn (int $i): float => $circles[$i][2] + $circles[$i][3], $ids),
            );
        }
        $this->primitives = $primitives;
        $this->nearest = $nearest;
        arsort($nearest);
        foreach (array_keys($nearest) as $k) {
            [$left, $top, $right, $bottom] = $primitives[$k]['box'];
            for ($i = (int) floor($left / self::CELL); $i <= $right / self::CELL; ++$i) {
                for ($j = (int) floor($top / self::CELL); $j <= $bottom / self::CELL; ++$j) {
                    $this->grid[$i * 4096 + $j][] = $k;
                }
            }
        }
    }

    /** @return list<int> primitives that may cover a point of the screen */
    public function near(float $x, float $y): array
    {
        return $this->grid[(int) floor($x / self::CELL) * 4096 + (int) floor($y / self::CELL)] ?? [];
    }

    /** Depth of the front skin of a primitive at a point of the screen; null where it does not cover it. */
    public function front(int $primitive, float $x, float $y): ?float
    {
        $p = $this->primitives[$primitive];
        $box = $p['box'];
        if ($x < $box[0] || $y < $box[1] || $x > $box[2] || $y > $box[3]) {
            return null;
        }
        $best = null;
        foreach ($p['planes'] as [$normal, $offset, [$t0, $t1, $t2]]) {
            $d1 = ($t1[0] - $t0[0]) * ($y - $t0[1]) - ($t1[1] - $t0[1]) * ($x - $t0[0]);
            $d2 = ($t2[0] - $t1[0]) * ($y - $t1[1]) - ($t2[1] - $t1[1]) * ($x - $t1[0]);
            $d3 = ($t0[0] - $t2[0]) * ($y - $t2[1]) - ($t0[1] - $t2[1]) * ($x - $t2[0]);
            if (($d1 >= 0 && $d2 >= 0 && $d3 >= 0) || ($d1 <= 0 && $d2 <= 0 && $d3 <= 0)) {
                $z = ($offset - $normal[0] * $x - $normal[1] * $y) / $normal[2];
                if (null === $best || $z > $best) {
                    $best = $z;
                }
            }
        }
        if (null !== $best) {
            return $best; // within the touch points the flat side is the front
        }
        // Hull of two spheres: with centre and radius linear in t, the front is the maximum of depth + sqrt(r^2 -
        // distance^2).
        foreach ($p['cones'] as [$ax, $ay, $az, $ar, $dx, $dy, $dz, $dr, $qa, $m]) {
            $ex = $x - $ax;
            $ey = $y - $ay;
            $qb = 2 * ($ar * $dr + $ex * $dx + $ey * $dy);
            $qc = $ar * $ar - $ex * $ex - $ey * $ey;
            if ($qc >= 0) {
                $z = $az + sqrt($qc);
                if (null === $best || $z > $best) {
                    $best = $z;
                }
            }
            $q = $qa + $qb + $qc;
            if ($q >= 0) {
                $z = $az + $dz + sqrt($q);
                if (null === $best || $z > $best) {
                    $best = $z;
                }
            }
            $a = 4 * $qa * $m;
            if ($a < 1e-9 && $a > -1e-9) {
                continue;
            }
            $b = 4 * $qb * $m;
            $disc = $b * $b - 4 * $a * ($qb * $qb - 4 * $dz * $dz * $qc);
            if ($disc < 0) {
                if ($disc <= -1e-9 * $b * $b) {
                    continue;
                }
                $disc = 0.0; // axis parallel to the screen: rounding must not open holes
            }
            $root = sqrt($disc);
            foreach ([(-$b + $root) / (2 * $a), (-$b - $root) / (2 * $a)] as $t) {
                if ($t <= 0 || $t >= 1) {
                    continue;
                }
                $q = $qa * $t * $t + $qb * $t + $qc;
                if ($q < 0) {
                    continue;
                }
                $z = $az + $dz * $t + sqrt($q);
                if (null === $best || $z > $best) {
                    $best = $z;
                }
            }
        }

        return $best;
    }

    /**
     * Is a place on the skin visible? It may lie a little under the modelled skin.
     *
     * @param Vec $place  on screen
     * @param Vec $normal in the scene
     */
    public function isSeen(array $place, array $normal, float $tolerance = 2.5): bool
    {
        if (Vector::dot($normal, $this->camera->toViewer) < .03) {
            return false;
        }
        $on = false;
        foreach ($this->near($place[0], $place[1]) as $k) {
            $z = $this->front($k, $place[0], $place[1]);
            if (null !== $z) {
                $on = true;
                if ($z > $place[2] + $tolerance) {
                    return false;
                }
            }
        }

        return $on;
    }

    /**
     * Does nothing lie before a point of a line that may lie a little under the skin?
     *
     * @param Vec $point on screen
     */
    public function isFree(array $point, float $tolerance = 1.4): bool
    {
        foreach ($this->near($point[0], $point[1]) as $k) {
            if ($this->nearest[$k] <= $point[2] + $tolerance) {
                return true; // neither this one nor any behind it
            }
            if (($this->front($k, $point[0], $point[1]) ?? -\INF) > $point[2] + $tolerance) {
                return false;
            }
        }

        return true;
    }

    /** @return array{float, float, float, float} left, top, right, bottom of everything, or of one group or body */
    public function box(string $only = '', string $ofBody = ''): array
    {
        $box = [\INF, \INF, -\INF, -\INF];
        foreach ($this->primitives as $k => $p) {
            if ('' !== $ofBody && $p['body'] !== $ofBody) {
                continue;
            }
            if ('' !== $only && $p['group'] !== $only && $p['body'] !== $only) {
                continue;
            }
            $box = null === $this->cutOf($p['ids'])
                ? [
                    min($box[0], $p['box'][0]),
                    min($box[1], $p['box'][1]),
                    max($box[2], $p['box'][2]),
                    max($box[3], $p['box'][3]),
                ]
                : Polyline::around($box, $this->polygon($k, 0.0, 24));
        }

        return $box;
    }

    /**
     * Outline of a primitive, always of the same number of points, so that frames can be blended.
     *
     * @return list<array{float, float}>
     */
    public function polygon(int $primitive, float $shrink = 0.0, int $points = 40): array
    {
        return $this->around(
            $this->primitives[$primitive]['ids'],
            $shrink,
            $points,
        );
    }

    /**
     * Outline of the convex shape round some spheres.
     *
     * @param non-empty-list<int> $ids
     *
     * @return list<array{float, float}>
     */
    public function around(array $ids, float $shrink = 0.0, int $points = 40): array
    {
        $cut = $this->cutOf($ids);
        $out = [];
        for ($k = 0; $k < $points; ++$k) {
            $a = 2 * \M_PI * $k / $points;
            $c = cos($a);
            $s = sin($a);
            $best = -\INF;
            $q = [0.0, 0.0];
            foreach ($ids as $i) {
                [$x, $y, , $r] = $this->circles[$i];
                $r = max(.2, $r - $shrink);
                $v = $x * $c + $y * $s + $r;
                if ($v > $best) {
                    $best = $v;
                    $q = [$x + $r * $c, $y + $r * $s];
                }
            }
            if (
                null !== $cut && ($d = ($q[0] - $cut[0]) * $cut[2] + ($q[1] - $cut[1]) * $cut[3]) > 0
            ) {
                $q = [$q[0] - $d * $cut[2], $q[1] - $d * $cut[3]];
            }
            $out[] = $q;
        }

        return $out;
    }

    /**
     * Where the open end of a forearm is cut on screen; null when the sphere is no end, or is seen end-on and
     * stays round.
     *
     * @return Cut|null x, y and the axis pointing off the hand
     */
    public function cutAt(int $sphere): ?array
    {
        if (!isset($this->scene->open[$sphere])) {
            return null;
        }
        if (!\array_key_exists($sphere, $this->cuts)) {
            $this->cuts[$sphere] = $this->findCut($sphere);
        }

        return $this->cuts[$sphere];
    }

    /**
     * @param non-empty-list<int> $ids
     *
     * @return Cut|null
     */
    public function cutOf(array $ids): ?array
    {
        foreach ($ids as $i) {
            $cut = $this->cutAt($i);
            if (null !== $cut) {
                return $cut;
            }
        }

        return null;
    }

    /** @return Cut|null */
    private function findCut(int $sphere): ?array
    {
        $axis = $this->scene->open[$sphere];
        $v = $this->camera->project($axis);
        $length = hypot($v[0], $v[1]);
        if ($length < 25) {
            return null;
        }
        $x = $v[0] / $length;
        $y = $v[1] / $length;
        $at = $this->circles[$sphere];
        foreach ($this->scene->open as $j => $other) {
            $q = $this->circles[$j];
            if ($other === $axis && ($q[0] - $at[0]) * $x + ($q[1] - $at[1]) * $y < 0) {
                $at = $q;
            }
        }

        return [$at[0], $at[1], $x, $y];
    }

    /**
     * @param non-empty-list<int> $ids
     *
     * @return Primitive
     */
    private function primitive(array $ids, string $group, string $body, int $solid): array
    {
        $box = [\INF, \INF, -\INF, -\INF];
        $depth = 0.0;
        $n = \count($ids);
        foreach ($ids as $i) {
            [$x, $y, $z, $r] = $this->circles[$i];
            $box = [
                min($box[0], $x - $r),
                min($box[1], $y - $r),
                max($box[2], $x + $r),
                max($box[3], $y + $r),
            ];
            $depth += $z / $n;
        }
        $cones = [];
        for ($i = 0; $i < (3 === $n ? 3 : 1); ++$i) {
            $cones[] = $this->cone($ids[$i], $ids[($i + 1) % $n]);
        }

        return [
            'ids' => $ids,
            'group' => $group,
            'body' => $body,
            'solid' => $solid,
            'z' => $depth + ('sleeve' === $body ? self::SLEEVE_NEARER : 0.0),
            'box' => $box,
            'planes' => 3 === $n ? $this->planes($ids) : [],
            'cones' => $cones,
        ];
    }

    /** @return Cone */
    private function cone(int $i, int $j): array
    {
        [$ax, $ay, $az, $ar] = $this->circles[$i];
        [$bx, $by, $bz, $br] = $this->circles[$j];
        [$dx, $dy, $dz, $dr] = [$bx - $ax, $by - $ay, $bz - $az, $br - $ar];
        $a = $dr * $dr - $dx * $dx - $dy * $dy;

        return [$ax, $ay, $az, $ar, $dx, $dy, $dz, $dr, $a, $a - $dz * $dz];
    }

    /**
     * Planes that touch three spheres and face the viewer.
     *
     * @param non-empty-list<int> $ids
     *
     * @return list<Plane>
     */
    private function planes(array $ids): array
    {
        [$a, $b, $c] = [$this->circles[$ids[0]], $this->circles[$ids[1]], $this->circles[$ids[2]]];
        [$pa, $pb, $pc] = [[$a[0], $a[1], $a[2]], [$b[0], $b[1], $b[2]], [$c[0], $c[1], $c[2]]];
        $e1 = Vector::sub($pb, $pa);
        $e2 = Vector::sub($pc, $pa);
        $n = Vector::cross($e1, $e2);
        if (Vector::length($n) < 1e-6) {
            return [];
        }
        $n = Vector::unit($n);
        $k1 = $a[3] - $b[3];
        $k2 = $a[3] - $c[3];
        $g11 = Vector::dot($e1, $e1);
        $g12 = Vector::dot($e1, $e2);
        $g22 = Vector::dot($e2, $e2);
        $det = $g11 * $g22 - $g12 * $g12;
        $w = Vector::add(
            Vector::times($e1, ($k1 * $g22 - $k2 * $g12) / $det),
            Vector::times($e2, ($k2 * $g11 - $k1 * $g12) / $det),
        );
        $q = 1 - Vector::dot($w, $w);
        if ($q <= 0) {
            return [];
        }
        $planes = [];
        foreach ([1, -1] as $sign) {
            $normal = Vector::add($w, Vector::times($n, $sign * sqrt($q)));
            if ($normal[2] > 1e-4) {
                $planes[] = [$normal, Vector::dot($normal, $pa) + $a[3], [
                    Vector::add($pa, Vector::times($normal, $a[3])),
                    Vector::add($pb, Vector::times($normal, $b[3])),
                    Vector::add($pc, Vector::times($normal, $c[3])),
                ]];
            }
        }

        return $planes;
    }
}
