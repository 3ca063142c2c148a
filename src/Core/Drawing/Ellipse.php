<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** A patch of skin in the plane of a frame: where its middle lies, how far it reaches, how it is turned. */
final readonly class Ellipse
{
    /**
     * @param float $turn degrees
     */
    public function __construct(
        public float $x,
        public float $y,
        public float $z,
        public float $rx,
        public float $ry,
        public float $turn = 0.0,
    ) {
    }

    /**
     * The point of the rim at an angle in radians.
     *
     * @return array{float, float}
     */
    public function rim(float $angle): array
    {
        $turn = deg2rad($this->turn);
        $u = $this->rx * cos($angle);
        $v = $this->ry * sin($angle);

        return [
            $this->x + $u * cos($turn) - $v * sin($turn),
            $this->y + $u * sin($turn) + $v * cos($turn),
        ];
    }
}
