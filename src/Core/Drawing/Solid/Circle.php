<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Vector;

/**
 * Round lines about the y axis of a frame.
 *
 * @phpstan-import-type Vec from Vector
 */
final class Circle
{
    /** @return non-empty-list<Vec> closed */
    public static function of(Frame $axes, float $radius, int $sides = 32): array
    {
        $turn = 2 * \M_PI / max(3, $sides);

        return array_map(
            static fn (int $k): array => $axes->at(
                $radius * cos($turn * $k),
                0.0,
                $radius * sin($turn * $k),
            ),
            range(0, max(3, $sides)),
        );
    }

    /**
     * The frame turned so that its y axis points in a direction given in its own axes.
     *
     * @param Vec $direction
     */
    public static function facing(Frame $axes, array $direction): Frame
    {
        $y = Vector::unit(Vector::sub($axes->at(...$direction), $axes->origin));
        $helper = abs(Vector::dot($y, $axes->x)) < .8 ? $axes->x : $axes->z;
        $z = Vector::unit(Vector::cross($helper, $y));

        return new Frame($axes->origin, Vector::cross($y, $z), $y, $z);
    }
}
