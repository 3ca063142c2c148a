<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * The layers of a picture from back to front: fill, wash, hollow, crease, nail, ink. Each is a class name and
 * path data;
 * colours belong to whoever prints them.
 *
 * @phpstan-import-type Line from Contours
 * @phpstan-import-type Sample from Contours
 */
final class Figure
{
    private const LIGHT = [.5, .87];
    private const WASH_WIDTH = 5.5;
    private const FLESH = ['hand', 'both', 'helper'];
    private const MOST_OPEN_MM = 60.0;
    private const WASH_TOLERANCE = .2;
    private const CHINK_MM2 = 40.0;
    private const EDGE_STEP = 1.2;

    public readonly Projection $projection;

    public function __construct(
        public readonly Scene $scene,
        Camera $camera,
        private readonly Look $look = new Look(),
    ) {
        $this->projection = new Projection($scene, $camera);
    }

    /** @return list<Layer> in drawing order */
    public function layers(): array
    {
        $contours = new Contours($this->projection);
        $lines = $contours->lines();
        $bodies = array_values(array_unique(array_column($this->scene->hulls, 2)));
        $ofFlesh = array_values(array_intersect($bodies, self::FLESH));
        $layers = $this->outlineFills(
            $contours,
            $lines,
            $ofFlesh,
            1 === \count($bodies),
        );
        $closed = $this->closed($ofFlesh, $layers);
        if (
            [] !== $this->look->focus
            || [] !== $this->look->tints
            || ['hand'] !== $bodies
            || ['hand'] !== $closed
        ) {
            array_push(
                $layers,
                ...(new Fills($this->projection, $this->look, $closed))->layers(),
            );
        }
        [$wash, $ink] = $this->inkAndWash($lines);
        $layers[] = new Layer('wash', $wash);
        if ($this->look->marks) {
            array_push(
                $layers,
                ...(new SkinMarks($this->projection, $this->look->weight))->layers(),
            );
        }
        $layers[] = new Layer('ink', $ink.$this->edges());

        return array_values(array_filter($layers, static fn (Layer $l): bool => '' !== $l->data));
    }

    /**
     * The softened outline of every body by itself; chinks between touching parts are not holes.
     *
     * @param list<Line>   $lines
     * @param list<string> $bodies
     *
     * @return list<Layer>
     */
    private function outlineFills(Contours $contours, array $lines, array $bodies, bool $isAlone): array
    {
        $layers = [];
        foreach ($bodies as $body) {
            if (!$isAlone) {
                $own = new Contours(
                    new Projection(
                        $this->scene->only($body),
                        $this->projection->camera,
                    ),
                );
                $loops = $own->loops($own->lines());
            } else {
                $loops = $contours->loops($lines);
            }
            $data = '';
            $box = [\INF, \INF, -\INF, -\INF];
            foreach ($loops as $loop) {
                $loop = Polyline::simplify($loop, $this->look->tolerance);
                if (Polyline::area($loop) > self::CHINK_MM2) {
                    $data .= PathData::from($loop);
                }
                $box = Polyline::around($box, $loop);
            }
            $layers[] = new Layer('fill-'.$body, $data, true, $box);
        }

        return $layers;
    }

    /**
     * Bodies whose outline goes as far as the flesh: one that did not close leaves the fill to the hulls.
     *
     * @param list<string> $bodies
     * @param list<Layer>  $fills  of them in order
     *
     * @return list<string>
     */
    private function closed(array $bodies, array $fills): array
    {
        $closed = [];
        foreach ($bodies as $nth => $body) {
            $box = $this->projection->box($body);
            $difference = 0.0;
            foreach ($fills[$nth]->box ?? $box as $i => $edge) {
                $difference += abs($edge - $box[$i]);
            }
            if ($difference < self::MOST_OPEN_MM) {
                $closed[] = $body;
            }
        }

        return $closed;
    }

    /** Lines of things, as far as nothing lies before them. */
    private function edges(): string
    {
        $data = '';
        foreach ($this->scene->edges as [$line, $width]) {
            $run = [];
            foreach ([...Polyline::resample($this->projected($line), self::EDGE_STEP), null] as $p) {
                if (null !== $p && $this->projection->isFree($p)) {
                    $run[] = $p;
                    continue;
                }
                $data .= PathData::ribbon($run, fn (): float => $width * $this->look->weight);
                $run = [];
            }
        }

        return $data;
    }

    /**
     * @param non-empty-list<array{float, float, float}> $line
     *
     * @return non-empty-list<array{float, float, float}>
     */
    private function projected(array $line): array
    {
        return array_map($this->projection->camera->project(...), $line);
    }

    /**
     * @param list<Line> $lines
     *
     * @return array{string, string} wash: a crescent inside each contour on the side away from the light, a thin
     *     one behind
     *                               inner contours; ink: strokes heavier on the shadow side, inner ones tapering out
     */
    private function inkAndWash(array $lines): array
    {
        $ink = $wash = '';
        foreach ($lines as [$line, , $closed]) {
            $length = Polyline::length($line);
            $outer = \count(
                array_filter($line, static fn (array $p): bool => $p[5] > Contours::OUTER),
            ) > .5 * \count($line);
            if ($length < ($outer ? 4 : 7)) {
                continue;
            }
            if ($closed) {
                $line[] = $line[0];
            }
            $n = \count($line) - 1;
            $edge = $inside = $behind = [];
            foreach ($line as $i => $p) {
                $fade = $closed ? 1.0 : min(1.0, min($i, $n - $i) * 1.2 / 9);
                $shade = max(
                    0.0,
                    $p[3] * self::LIGHT[0] + $p[4] * self::LIGHT[1],
                );
                $edge[] = [$p[0], $p[1]];
                $d = self::WASH_WIDTH * $shade * $fade;
                $inside[] = [$p[0] - $p[3] * $d, $p[1] - $p[4] * $d];
                $s = $p[5] > Contours::OUTER
                    ? 0.0
                    : min(4.0, $p[5] * .22) * (.45 + .55 * $shade) * $fade;
                $behind[] = [$p[0] + $p[3] * $s, $p[1] + $p[4] * $s];
            }
            $wash .= PathData::from(
                Polyline::simplify(
                    [...$edge, ...array_reverse($inside)],
                    max(self::WASH_TOLERANCE, $this->look->tolerance),
                ),
            ).(
                $outer ? '' : PathData::from(
                    Polyline::simplify(
                        [...$edge, ...array_reverse($behind)],
                        max(self::WASH_TOLERANCE, $this->look->tolerance),
                    ),
                )
            );
            $ink .= PathData::ribbon(
                $line,
                fn (float $t, array $p): float => $this->inkWidth($t, $p, $closed, $length),
                $closed,
                $this->look->tolerance,
            );
        }

        return [$wash, $ink];
    }

    /** @param Sample $p */
    private function inkWidth(float $t, array $p, bool $closed, float $length): float
    {
        $outer = $p[5] > Contours::OUTER;
        $width = ($outer ? 1.5 : 1.15) * (
            1 + .25 * max(
                -1.0,
                min(1.0, $p[3] * self::LIGHT[0] + $p[4] * self::LIGHT[1]),
            )
        );

        return $this->look->weight * $width * (
            $closed || $outer ? 1.0 : min(
                1.0,
                .3 + min($t, 1 - $t) * $length / 8,
            )
        );
    }
}
