<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A joint's own axes: x radial (to the thumb), y distal (to the finger tips), z palmar; right-handed for a right hand.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Frame
{
    /**
     * @param Vec $origin
     * @param Vec $x
     * @param Vec $y
     * @param Vec $z
     */
    public function __construct(
        public array $origin = [0.0, 0.0, 0.0],
        public array $x = [1.0, 0.0, 0.0],
        public array $y = [0.0, 1.0, 0.0],
        public array $z = [0.0, 0.0, 1.0],
    ) {
    }

    /** @return Vec */
    public function at(float $x, float $y, float $z): array
    {
        return [
            $this->origin[0] + $this->x[0] * $x + $this->y[0] * $y + $this->z[0] * $z,
            $this->origin[1] + $this->x[1] * $x + $this->y[1] * $y + $this->z[1] * $z,
            $this->origin[2] + $this->x[2] * $x + $this->y[2] * $y + $this->z[2] * $z,
        ];
    }

    public function move(float $x, float $y, float $z): self
    {
        return new self($this->at($x, $y, $z), $this->x, $this->y, $this->z);
    }

    /** @param Vec $origin */
    public function atOrigin(array $origin): self
    {
        return new self($origin, $this->x, $this->y, $this->z);
    }

    /** About the own x axis: + is flexion (y to z). */
    public function flex(float $degrees): self
    {
        [$y, $z] = self::turn($this->y, $this->z, $degrees);

        return new self($this->origin, $this->x, $y, $z);
    }

    /** About the own y axis: + turns the palm to the thumb side (z to x). */
    public function roll(float $degrees): self
    {
        [$z, $x] = self::turn($this->z, $this->x, $degrees);

        return new self($this->origin, $x, $this->y, $z);
    }

    /** About the own z axis: + is ulnar (y to -x). */
    public function tilt(float $degrees): self
    {
        [$x, $y] = self::turn($this->x, $this->y, $degrees);

        return new self($this->origin, $x, $y, $this->z);
    }

    /**
     * @param Vec $p
     * @param Vec $q
     *
     * @return array{Vec, Vec}
     */
    private static function turn(array $p, array $q, float $degrees): array
    {
        $c = cos(deg2rad($degrees));
        $s = sin(deg2rad($degrees));

        return [
            Vector::add(Vector::times($p, $c), Vector::times($q, $s)),
            Vector::sub(Vector::times($q, $c), Vector::times($p, $s)),
        ];
    }
}
