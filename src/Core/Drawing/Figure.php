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
    private const CHINK_MM2 = 40.0;

    public readonly Projection $projection;

    /** @param list<string> $focus digits in the focus tint */
    public function __construct(
        public readonly Scene $scene,
        Camera $camera,
        private readonly array $focus = [],
        private readonly float $weight = 1.0,
        private readonly bool $marks = true,
    ) {
        $this->projection = new Projection($scene, $camera);
    }

    /** @return list<Layer> in drawing order */
    public function layers(): array
    {
        $contours = new Contours($this->projection);
        $lines = $contours->lines();
        $bodies = array_values(array_unique(array_column($this->scene->hulls, 2)));
        $layers = $this->outlineFills($contours, $lines, $bodies);
        if ([] !== $this->focus || \count($bodies) > 1 || !$this->isClosed($layers)) {
            array_push($layers, ...$this->hullFills());
        }
        [$wash, $ink] = $this->inkAndWash($lines);
        $layers[] = new Layer('wash', $wash);
        if ($this->marks) {
            array_push($layers, ...(new SkinMarks($this->projection, $this->weight))->layers());
        }
        $layers[] = new Layer('ink', $ink);

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
    private function outlineFills(Contours $contours, array $lines, array $bodies): array
    {
        $layers = [];
        foreach ($bodies as $body) {
            if (\count($bodies) > 1) {
                $own = new Contours(
                    new Projection($this->scene->only($body), $this->projection->camera),
                );
                $loops = $own->loops($own->lines());
            } else {
                $loops = $contours->loops($lines);
            }
            $data = '';
            $box = [\INF, \INF, -\INF, -\INF];
            foreach ($loops as $loop) {
                $loop = Polyline::simplify($loop);
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
     * Whether the outline goes as far as the flesh: one that did not close leaves the fill to the hulls.
     *
     * @param list<Layer> $fills
     */
    private function isClosed(array $fills): bool
    {
        $box = $this->projection->box();
        $difference = 0.0;
        foreach ($fills[0]->box ?? $box as $i => $edge) {
            $difference += abs($edge - $box[$i]);
        }

        return $difference < 60;
    }

    /**
     * Several tints: hulls from far to near, neighbours of one tint in one path. A lit digit must not be cut by
     * the palm it
     * grows from, so what of it is in front is painted again, and all other digits and things above the palm.
     *
     * @return list<Layer>
     */
    private function hullFills(): array
    {
        $p = $this->projection;
        $order = array_keys($p->primitives);
        usort(
            $order,
            static fn (int $a, int $b): int => [
                $p->primitives[$a]['z'],
                $a,
            ] <=> [$p->primitives[$b]['z'], $b],
        );
        if ([] !== $this->focus) {
            $order = [
                ...$order,
                ...array_filter(
                    $order,
                    fn (int $k): bool => $this->isLit($k) ? $p->isInFront($k) : $this->isRepainted($k),
                ),
            ];
        }
        $layers = [];
        $last = '';
        $data = '';
        foreach ($order as $k) {
            $class = 'fill-'.($this->isLit($k) ? 'focus' : $p->primitives[$k]['body']);
            if ($class !== $last && '' !== $data) {
                $layers[] = new Layer($last, $data);
                $data = '';
            }
            $last = $class;
            $data .= PathData::from(Polyline::simplify($p->polygon($k, .5, 36), .03));
        }
        $layers[] = new Layer($last, $data);

        return $layers;
    }

    /** Digits and things lie above the palm; table and chair only where nothing is before them. */
    private function isRepainted(int $primitive): bool
    {
        $p = $this->projection->primitives[$primitive];

        return 'furniture' === $p['body']
            ? $this->projection->isInFront($primitive)
            : str_contains($p['group'], '/') || 'hand' !== $p['body'];
    }

    private function isLit(int $primitive): bool
    {
        $p = $this->projection->primitives[$primitive];

        return 'hand' === $p['body'] && \in_array(explode('/', $p['group'])[0], $this->focus, true);
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
            if ($length < ($outer ? 2 : 7)) {
                continue;
            }
            if ($closed) {
                $line[] = $line[0];
            }
            $n = \count($line) - 1;
            $edge = $inside = $behind = [];
            foreach ($line as $i => $p) {
                $fade = $closed ? 1.0 : min(1.0, min($i, $n - $i) * 1.2 / 9);
                $shade = max(0.0, $p[3] * self::LIGHT[0] + $p[4] * self::LIGHT[1]);
                $edge[] = [$p[0], $p[1]];
                $d = self::WASH_WIDTH * $shade * $fade;
                $inside[] = [$p[0] - $p[3] * $d, $p[1] - $p[4] * $d];
                $s = $p[5] > Contours::OUTER
                    ? 0.0
                    : min(4.0, $p[5] * .22) * (.45 + .55 * $shade) * $fade;
                $behind[] = [$p[0] + $p[3] * $s, $p[1] + $p[4] * $s];
            }
            $wash .= PathData::from(Polyline::simplify([...$edge, ...array_reverse($inside)])).(
                $outer ? '' : PathData::from(Polyline::simplify([...$edge, ...array_reverse($behind)]))
            );
            $ink .= PathData::ribbon(
                $line,
                fn (float $t, array $p): float => $this->inkWidth($t, $p, $closed, $length),
                $closed,
            );
        }

        return [$wash, $ink];
    }

    /** @param Sample $p */
    private function inkWidth(float $t, array $p, bool $closed, float $length): float
    {
        $outer = $p[5] > Contours::OUTER;
        $width = ($outer ? 1.5 : 1.15) * (
            1 + .25 * max(-1.0, min(1.0, $p[3] * self::LIGHT[0] + $p[4] * self::LIGHT[1]))
        );

        return $this->weight * $width * (
            $closed || $outer ? 1.0 : min(1.0, .3 + min($t, 1 - $t) * $length / 8)
        );
    }
}
