<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Puts things into a scene, from the shapes of the thing file.
 *
 * @phpstan-import-type Vec from Vector
 */
final class Things
{
    /** @param list<ThingPart> $parts */
    public static function put(Scene $scene, array $parts): void
    {
        foreach ($parts as $part) {
            $scene->body = $part->isFurniture ? 'furniture' : 'object';
            $at = array_map(static fn (Place $place): array => $place->in($scene), $part->places);
            self::part($scene, $part, $at);
            if (!$part->isFurniture) {
                $scene->anchors['thing'] ??= $at[0];
            }
        }
        $scene->body = 'hand';
    }

    /** @param non-empty-list<Vec> $at */
    private static function part(Scene $scene, ThingPart $part, array $at): void
    {
        $size = $part->sizes;
        match ($part->kind) {
            ThingKind::Ball => $scene->hull('thing', $scene->ball($at[0], $size[0])),
            ThingKind::Drum => self::drum(
                $scene,
                $at[0],
                $at[1] ?? $at[0],
                $size[0],
                edge: $size[1] ?? 1.0,
                farRadius: $size[2] ?? $size[0],
            ),
            ThingKind::Rod => $scene->hull(
                'thing',
                $scene->ball($at[0], $size[0]),
                $scene->ball($at[1] ?? $at[0], $size[1] ?? $size[0]),
            ),
            ThingKind::Block => self::block($scene, self::axesOf($scene, $part), $at[0], $size),
            ThingKind::Plate => self::plate($scene, $at, $size[0]),
            ThingKind::Band => self::line($scene, [...$at, $at[0]], $size[0]),
            ThingKind::Cord => self::line($scene, $at, $size[0]),
        };
    }

    /**
     * A drum with softened edges from one end to the other: coin, tin, bottle, weight; with another far radius a cup.
     *
     * @param Vec $from
     * @param Vec $to
     */
    private static function drum(
        Scene $scene,
        array $from,
        array $to,
        float $radius,
        float $edge,
        float $farRadius,
    ): void {
        $n = match (true) {
            $radius > 20 => 20,
            $radius > 12 => 16,
            default => 10,
        };
        $y = Vector::unit(Vector::sub($to, $from));
        $x = Vector::unit(Vector::cross($y, abs($y[0]) < .8 ? [1.0, 0.0, 0.0] : [0.0, 1.0, 0.0]));
        $z = Vector::cross($x, $y);
        $a = Vector::add($from, Vector::times($y, $edge));
        $b = Vector::sub($to, Vector::times($y, $edge));
        $first = self::ring($scene, $a, [$x, $z], $radius - $edge, edge: $edge, n: $n);
        $second = self::ring($scene, $b, [$x, $z], $farRadius - $edge, edge: $edge, n: $n);
        $ca = $scene->ball($a, $edge);
        $cb = $scene->ball($b, $edge);
        for ($k = 0; $k < $n; ++$k) {
            $j = ($k + 1) % $n;
            $scene->hull('thing', $first[$k], $first[$j], $second[$k]);
            $scene->hull('thing', $first[$j], $second[$k], $second[$j]);
            $scene->hull('thing', $ca, $first[$k], $first[$j]);
            $scene->hull('thing', $cb, $second[$k], $second[$j]);
        }
    }

    /**
     * @param Vec             $centre
     * @param array{Vec, Vec} $across two directions at right angles, in the plane of the ring
     *
     * @return list<int>
     */
    private static function ring(
        Scene $scene,
        array $centre,
        array $across,
        float $radius,
        float $edge,
        int $n,
    ): array {
        $ids = [];
        [$x, $z] = $across;
        for ($k = 0; $k < $n; ++$k) {
            $a = 2 * \M_PI * $k / $n;
            $ids[] = $scene->ball(
                Vector::add(
                    $centre,
                    Vector::add(
                        Vector::times($x, $radius * cos($a)),
                        Vector::times($z, $radius * sin($a)),
                    ),
                ),
                $edge,
            );
        }

        return $ids;
    }

    private static function axesOf(Scene $scene, ThingPart $part): Frame
    {
        $frame = $scene->frames[$part->places[0]->on] ?? $scene->frames['hand'] ?? new Frame();

        return $frame->tilt($part->turn[0])->roll($part->turn[1])->flex($part->turn[2]);
    }

    /**
     * @param Vec         $centre
     * @param list<float> $size width, height, depth, edge
     */
    private static function block(Scene $scene, Frame $axes, array $centre, array $size): void
    {
        $edge = $size[3] ?? 2.0;
        $axes = $axes->atOrigin($centre);
        $corner = [];
        foreach ([-1, 1] as $i) {
            foreach ([-1, 1] as $j) {
                foreach ([-1, 1] as $k) {
                    $corner[] = $scene->ball(
                        $axes->at(
                            $i * ($size[0] / 2 - $edge),
                            $j * (($size[1] ?? $size[0]) / 2 - $edge),
                            $k * (($size[2] ?? $size[0]) / 2 - $edge),
                        ),
                        $edge,
                    );
                }
            }
        }
        foreach (
            [
                [0, 1, 3, 2],
                [4, 5, 7, 6],
                [0, 1, 5, 4],
                [2, 3, 7, 6],
                [0, 2, 6, 4],
                [1, 3, 7, 5],
            ] as [$a, $b, $c, $d]
        ) {
            $scene->hull('thing', $corner[$a], $corner[$b], $corner[$c]);
            $scene->hull('thing', $corner[$a], $corner[$c], $corner[$d]);
        }
    }

    /** @param non-empty-list<Vec> $at four corners in turn */
    private static function plate(Scene $scene, array $at, float $half): void
    {
        $ids = array_map(static fn (array $p): int => $scene->ball($p, $half), $at);
        $n = \count($ids);
        for ($i = 2; $i < $n; ++$i) {
            $scene->hull('thing', $ids[0], $ids[$i - 1], $ids[$i]);
        }
    }

    /** @param non-empty-list<Vec> $at */
    private static function line(Scene $scene, array $at, float $half): void
    {
        $ids = array_map(static fn (array $p): int => $scene->ball($p, $half), $at);
        $scene->chain('thing', ...$ids);
    }
}
