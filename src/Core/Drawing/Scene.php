<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Spheres, hulls of one to three spheres (the flesh), marks that lie on the skin and named places. A group is
 * palm, web, arm, thing or digit/segment; a body is hand, helper, sleeve or object. Hulls of one solid are one convex
 * shape: its number is above 0, and hulls of flesh carry the number of their hand, 0 or below.
 *
 * @phpstan-import-type Vec from Vector
 *
 * @phpstan-type Hull array{non-empty-list<int>, string, string, int}
 * @phpstan-type Patch array{non-empty-list<Vec>, ?Vec, string, int}
 * @phpstan-type SkinMark array{string, list<array{Vec, Vec}>, string, string}
 */
final class Scene
{
    /** @var list<array{float, float, float, float}> x, y, z, radius */
    public array $spheres = [];

    /** @var list<Hull> sphere ids, group, body, number of the solid */
    public array $hulls = [];

    /** @var list<SkinMark> kind, points with their outward normals, body, part */
    public array $marks = [];

    /** @var array<string, Vec> finger pads and tips */
    public array $anchors = [];

    /** @var array<string, Frame> joints */
    public array $frames = [];

    /** @var array<int, Vec> sphere id => axis: the cut end of a forearm, where there is no contour */
    public array $open = [];

    /** @var list<Patch> on a solid: corners, the way it faces (null: always seen), tint, number of the solid */
    public array $patches = [];

    /** @var list<array{non-empty-list<Vec>, float}> lines of things that are inked where they are seen, width */
    public array $edges = [];

    /** @var array<int, string> tint of a solid, where it is not that of its body */
    public array $tones = [];

    public string $body = 'hand';

    private int $solid = 0;

    private int $hands = 0;

    /** @param Vec $place */
    public function ball(array $place, float $radius): int
    {
        $this->spheres[] = [$place[0], $place[1], $place[2], $radius];

        return \count($this->spheres) - 1;
    }

    public function hull(string $group, int $first, int ...$others): void
    {
        $this->hulls[] = [[$first, ...array_values($others)], $group, $this->body, $this->solid];
    }

    /** What is put in from now on is one convex shape of its own. */
    public function beginSolid(?string $tone = null): int
    {
        $this->solid = \count($this->tones) + 1;
        $this->tones[$this->solid] = $tone ?? $this->body;

        return $this->solid;
    }

    public function endSolid(): void
    {
        $this->solid = 0;
    }

    /**
     * @param non-empty-list<Vec> $corners
     * @param ?Vec                $facing  null: seen from both sides
     */
    public function patch(array $corners, ?array $facing, string $tone): void
    {
        $this->patches[] = [$corners, $facing, $tone, $this->solid];
    }

    /** @param non-empty-list<Vec> $line */
    public function edge(array $line, float $width = .9): void
    {
        $this->edges[] = [$line, $width];
    }

    /** Number that tells the flesh of one more hand from the others. */
    public function nextHand(): int
    {
        return --$this->hands;
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
        $one->patches = $one->edges = [];

        return $one;
    }
}
