<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Spheres, hulls of one to three spheres (the flesh), marks that lie on the skin and named places. A group is
 * palm, web,
 * arm, thing or digit/segment; a body is hand, helper, sleeve or object.
 *
 * @phpstan-import-type Vec from Vector
 *
 * @phpstan-type Hull array{non-empty-list<int>, string, string}
 * @phpstan-type Mark array{string, list<array{Vec, Vec}>, string, string}
 */
final class Scene
{
    /** @var list<array{float, float, float, float}> x, y, z, radius */
    public array $spheres = [];

    /** @var list<Hull> sphere ids, group, body */
    public array $hulls = [];

    /** @var list<Mark> kind, points with their outward normals, body, part */
    public array $marks = [];

    /** @var array<string, Vec> finger pads and tips */
    public array $anchors = [];

    /** @var array<string, Frame> joints */
    public array $frames = [];

    /** @var array<int, Vec> sphere id => axis: the cut end of a forearm, where there is no contour */
    public array $open = [];

    public string $body = 'hand';

    /** @param Vec $place */
    public function ball(array $place, float $radius): int
    {
        $this->spheres[] = [$place[0], $place[1], $place[2], $radius];

        return \count($this->spheres) - 1;
    }

    public function hull(string $group, int $first, int ...$others): void
    {
        $this->hulls[] = [[$first, ...array_values($others)], $group, $this->body];
    }

    public function chain(string $group, int ...$ids): void
    {
        for ($i = 1, $n = \count($ids); $i < $n; ++$i) {
            $this->hull($group, $ids[$i - 1], $ids[$i]);
        }
    }

    /** @param list<array{Vec, Vec}> $points */
    public function mark(string $kind, array $points, string $part = 'palm'): void
    {
        $this->marks[] = [$kind, $points, $this->body, $part];
    }

    /** @return Vec */
    public function place(string $name): array
    {
        return $this->anchors[$name] ?? $this->frames[$name]->origin;
    }

    public function only(string $body): self
    {
        $one = clone $this;
        $one->hulls = array_values(
            array_filter($this->hulls, static fn (array $h): bool => $h[2] === $body),
        );

        return $one;
    }
}
