<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A point of a scene: on a joint's axes, or near a pad or tip in the axes of its hand; `a~b` is the middle of two.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Place
{
    public function __construct(
        public string $on,
        public float $x = 0.0,
        public float $y = 0.0,
        public float $z = 0.0,
    ) {
    }

    /**
     * @return Vec
     *
     * @throws InvalidPose when the scene has no such place
     */
    public function in(Scene $scene): array
    {
        $frame = $scene->frames[$this->on] ?? null;
        if (null !== $frame) {
            return $frame->at($this->x, $this->y, $this->z);
        }
        $points = array_map(
            static fn (string $name): array => $scene->anchors[$name]
                ?? $scene->frames[$name]->origin
                ?? throw InvalidPose::noPlace(
                    $name,
                ),
            explode('~', $this->on),
        );
        $at = 1 === \count($points) ? $points[0] : Vector::mix($points[0], $points[1], .5);
        $axes = $scene->frames['hand'] ?? new Frame();

        return Vector::add($at, Vector::sub($axes->at($this->x, $this->y, $this->z), $axes->origin));
    }

    /** @return list<string|float> */
    public function toArray(): array
    {
        return [$this->on, $this->x, $this->y, $this->z];
    }
}
