<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Lines that lie on the skin: creases, wrinkles, nails.
 *
 * @phpstan-import-type Vec from Vector
 */
final class Skin
{
    private const NAIL = [
        [0.0, 0.0],
        [-.5, .04],
        [-.86, .2],
        [-1.0, .5],
        [-.96, .74],
        [-.74, .92],
        [-.38, .99],
        [0.0, 1.0],
        [.38, .99],
        [.74, .92],
        [.96, .74],
        [1.0, .5],
        [.86, .2],
        [.5, .04],
        [0.0, 0.0],
    ];

    /** @var non-empty-list<Vec>|null smoothed once */
    private static ?array $nailOutline = null;

    /**
     * Arc on the skin round a finger; 0 degrees = palmar, 90 = radial, 180 = back. Bow shifts its middle along
     * the finger.
     *
     * @return list<array{Vec, Vec}>
     */
    public static function ring(
        Frame $f,
        float $y,
        float $radius,
        float $from,
        float $to,
        float $bow = 0.0,
    ): array {
        $points = [];
        for ($i = 0; $i <= 9; ++$i) {
            $t = $i / 9;
            $a = deg2rad($from + ($to - $from) * $t);
            $points[] = [
                $f->at($radius * sin($a), $y + $bow * sin(\M_PI * $t), $radius * cos($a)),
                Vector::add(Vector::times($f->x, sin($a)), Vector::times($f->z, cos($a))),
            ];
        }

        return $points;
    }

    /**
     * Nail outline dropped on the back of the capsule from pulp to tip, each y, z and radius in the frame of the
     * last bone.
     *
     * @param Vec $pulp
     * @param Vec $tip
     *
     * @return list<array{Vec, Vec}>
     */
    public static function nail(
        Frame $bone,
        array $pulp,
        array $tip,
        float $halfWidth,
        float $from,
        float $to,
    ): array {
        self::$nailOutline ??= self::spline(
            array_map(static fn (array $p): array => [$p[0], $p[1], 0.0], self::NAIL),
            3,
        );
        $points = [];
        foreach (self::$nailOutline as [$u, $v]) {
            $x = $u * $halfWidth;
            $y = $from + ($to - $from) * $v;
            $z = 0.0;
            for ($k = 0; $k <= 12; ++$k) { // the highest of the swept spheres
                $m = Vector::mix($pulp, $tip, $k / 12);
                $q = $m[2] ** 2 - $x * $x - ($y - $m[0]) ** 2;
                if ($q > 0) {
                    $z = min($z, $m[1] - sqrt($q));
                }
            }
            $points[] = [
                $bone->at($x, $y, $z),
                Vector::unit(
                    Vector::add(Vector::times($bone->x, $x), Vector::times($bone->z, -$halfWidth)),
                ),
            ];
        }

        return $points;
    }

    /**
     * Smooth curve through points (Catmull-Rom).
     *
     * @param non-empty-list<Vec> $p
     *
     * @return non-empty-list<Vec>
     */
    public static function spline(array $p, int $steps = 6): array
    {
        $out = [];
        $last = \count($p) - 1;
        for ($i = 0; $i < $last; ++$i) {
            [$a, $b, $d, $e] = [$p[max(0, $i - 1)], $p[$i], $p[$i + 1], $p[min($last, $i + 2)]];
            for ($k = 0; $k < $steps; ++$k) {
                $t = $k / $steps;
                $at = static fn (int $m): float => .5 * (
                    2 * $b[$m] + ($d[$m] - $a[$m]) * $t + (
                        2 * $a[$m] - 5 * $b[$m] + 4 * $d[$m] - $e[$m]
                    ) * $t * $t + (3 * $b[$m] - $a[$m] - 3 * $d[$m] + $e[$m]) * $t ** 3
                );
                $out[] = [$at(0), $at(1), $at(2)];
            }
        }
        $out[] = $p[$last];

        return $out;
    }
}
