<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Finds what is inked: candidates are the free arcs of circles and the outer tangents of pairs; a sample is drawn only
 * where the scene just outside it is clearly deeper. That one test gives outline, overlaps and folds.
 *
 * @phpstan-type Sample array{float, float, float, float, float, float, float}
 * @phpstan-type Line array{non-empty-list<Sample>, string, bool}
 * @phpstan-type Run array{list<Sample>, string}
 */
final class Contours
{
    /** Inside one body a contour is drawn where the skin behind is at least this much deeper. */
    private const GAP = 3.0;
    private const TOUCHING = 6.0;
    private const OTHER_BODY = 9.0;
    /** A thing does not give way: what lies behind it is hidden at once. */
    private const BEHIND_THING = .5;
    private const THING_BEHIND = 4.0;
    private const STEP = 1.2;
    private const OFFSET = .02;
    /** Depth step that stands for 'another body behind'. */
    public const BODY_STEP = 500.0;
    /** From this step on a line is an outer one. */
    public const OUTER = 400.0;

    /** @var array<string, array<string, bool>> */
    private array $touch = [];

    /** The primitive that hid the last sample: it most likely hides the next one too, so it is asked first. */
    private int $hider = -1;

    public function __construct(
        private readonly Projection $p,
    ) {
    }

    /**
     * @return list<Line> visible contours, chained and softened: samples [x, y, depth, nx, ny, step, soft], body,
     *    closed
     */
    public function lines(): array
    {
        $lines = [];
        foreach (LineJoiner::join($this->visibleRuns()) as [$points, $body]) {
            if ([] === $points) {
                continue;
            }
            $a = $points[0];
            $b = $points[\count($points) - 1];
            $closed = \count($points) > 12 && hypot($a[0] - $b[0], $a[1] - $b[1]) < 2;
            $lines[] = [
                Polyline::soften(
                    Polyline::resample($points, self::STEP),
                    $closed,
                ),
                $body,
                $closed,
            ];
        }

        return $lines;
    }

    /**
     * Closed outer outlines, for an even-odd fill; left open only across a cut forearm.
     *
     * @param list<Line> $lines
     *
     * @return list<list<Sample>>
     */
    public function loops(array $lines): array
    {
        $runs = [];
        foreach ($lines as [$points, $body]) {
            $run = [];
            foreach ($points as $point) {
                if ($point[5] > self::OUTER) {
                    $run[] = $point;
                } elseif ([] !== $run) {
                    $runs[] = [$run, $body];
                    $run = [];
                }
            }
            if ([] !== $run) {
                $runs[] = [$run, $body];
            }
        }
        $loops = [];
        foreach (LineJoiner::chain($runs, 8.0) as [$points]) {
            $a = $points[0];
            $b = $points[\count($points) - 1];
            if (
                \count($points) > 20
                && (
                    hypot($a[0] - $b[0], $a[1] - $b[1]) < 9
                    || ($this->isAtCut($a) && $this->isAtCut($b))
                )
            ) {
                $loops[] = $points;
            }
        }

        return $loops;
    }

    /** @param Sample $point */
    private function isAtCut(array $point): bool
    {
        foreach (array_keys($this->p->scene->open) as $i) {
            $c = $this->p->circles[$i];
            if (hypot($point[0] - $c[0], $point[1] - $c[1]) < $c[3] + 3) {
                return true;
            }
        }

        return false;
    }

    /** @return list<Run> */
    private function visibleRuns(): array
    {
        $runs = [];
        foreach ($this->candidates() as [$line, $k]) {
            $primitive = $this->p->primitives[$k];
            $body = $primitive['body'];
            $soft = match ($primitive['group']) {
                'palm', 'arm' => 1.0,
                'web' => .35,
                default => 0.0,
            };
            $edge = new Edge(
                $primitive['group'],
                $body,
                $this->p->cutOf($primitive['ids']),
                $soft,
            );
            $run = [];
            $previous = null;
            $was = null;
            foreach ($line as $point) {
                $step = $this->stepAt($point, $edge);
                if (null !== $previous && (null === $step) !== (null === $was)) {
                    $run[] = $this->exactEnd(
                        $previous,
                        $was,
                        $point,
                        $step,
                        edge: $edge,
                    );
                }
                if (null !== $step) {
                    $run[] = [$point[0], $point[1], $point[2], $point[3], $point[4], $step, $soft];
                } elseif ([] !== $run) {
                    $runs[] = [$run, $body];
                    $run = [];
                }
                $previous = $point;
                $was = $step;
            }
            if ([] !== $run) {
                $runs[] = [$run, $body];
            }
        }

        return $runs;
    }

    /**
     * End of the visible part between two samples, by bisection.
     *
     * @param array{float, float, float, float, float} $previous
     * @param array{float, float, float, float, float} $point
     *
     * @return Sample
     */
    private function exactEnd(
        array $previous,
        ?float $was,
        array $point,
        ?float $step,
        Edge $edge,
    ): array {
        [$a, $b] = [$previous, $point];
        [$seen, $seenStep] = null !== $was ? [$previous, $was] : [$point, $step];
        for ($i = 0; $i < 5; ++$i) {
            $m = [
                ($a[0] + $b[0]) / 2,
                ($a[1] + $b[1]) / 2,
                ($a[2] + $b[2]) / 2,
                ($a[3] + $b[3]) / 2,
                ($a[4] + $b[4]) / 2,
            ];
            $found = $this->stepAt($m, $edge);
            if (null !== $found) {
                $seen = $m;
                $seenStep = $found;
            }
            if ((null === $found) === (null === $was)) {
                $a = $m;
            } else {
                $b = $m;
            }
        }

        return [$seen[0], $seen[1], $seen[2], $seen[3], $seen[4], (float) $seenStep, $edge->soft];
    }

    /**
     * The test: depth step just outside a contour point. Null: no line here; INF: nothing behind; 500: another
     * body behind.
     *
     * @param array{float, float, float, float, float} $point
     */
    private function stepAt(array $point, Edge $edge): ?float
    {
        $group = $edge->group;
        $body = $edge->body;
        $cut = $edge->cut;
        if (
            null !== $cut && ($point[0] - $cut[0]) * $cut[2] + ($point[1] - $cut[1]) * $cut[3] > .01
        ) {
            return null;
        }
        $x = $point[0] + self::OFFSET * $point[3];
        $y = $point[1] + self::OFFSET * $point[4];
        $depth = $point[2];
        $back = -\INF;
        $other = false;
        $primitives = $this->p->primitives;
        if (
            $this->hider >= 0
            && $this->hides(
                $this->hider,
                $this->p->front($this->hider, $x, $y),
                $depth,
                $group,
                body: $body,
            )
        ) {
            return null;
        }
        $nearest = $this->p->nearest;
        $wanted = $depth - self::GAP;
        foreach ($this->p->near($x, $y) as $k) {
            if ($nearest[$k] <= $back && $nearest[$k] <= $wanted) {
                break; // neither this one nor any behind it can change the answer
            }
            $primitive = $primitives[$k];
            $box = $primitive['box'];
            if ($x < $box[0] || $y < $box[1] || $x > $box[2] || $y > $box[3]) {
                continue;
            }
            $z = $this->p->front($k, $x, $y);
            if (null === $z) {
                continue;
            }
            if ($this->hides($k, $z, $depth, $group, body: $body)) {
                $this->hider = $k;

                return null;
            }
            $alien = $primitive['body'] !== $body;
            if ($z > $back) {
                $back = $z;
                $other = $alien;
            }
        }

        return $other ? self::BODY_STEP : $depth - $back;
    }

    /**
     * Grown together: only a real drop makes a line. Merely touching: the line is kept although soft parts dent
     * each other.
     */
    private function hides(int $k, ?float $z, float $depth, string $group, string $body): bool
    {
        if (null === $z || $z <= $depth - self::GAP) {
            return false;
        }
        $primitive = $this->p->primitives[$k];
        if ($primitive['body'] !== $body) {
            return $z > $depth + match (true) {
                $primitive['solid'] > 0 => self::BEHIND_THING,
                'object' === $body => self::THING_BEHIND,
                default => self::OTHER_BODY,
            };
        }
        $its = $primitive['group'];
        $contact = $this->touch[$group][$its] ??= self::isTouching(
            $group,
            $its,
        );

        return $z > $depth + ($contact ? self::TOUCHING : -self::GAP);
    }

    /** Do two parts of one body merely touch (true), or does one grow out of the other (false)? */
    private static function isTouching(string $a, string $b): bool
    {
        [$digitA, $segmentA] = explode('/', $a) + [1 => null];
        [$digitB, $segmentB] = explode('/', $b) + [1 => null];
        if (null === $segmentA && null === $segmentB) {
            return false; // palm, webs, forearm
        }
        if ($digitA === $digitB) {
            return abs((int) $segmentA - (int) $segmentB) > 1; // a finger folded on itself
        }

        $isTwoDigits = null !== $segmentA && null !== $segmentB;
        $isFingerEndOnPalm = (int) ($segmentA ?? $segmentB) > 0;

        return $isTwoDigits || $isFingerEndOnPalm;
    }

    /**
     * @return list<array{list<array{float, float, float, float, float}>, int}> samples [x, y, depth, nx, ny] and
     *    their primitive
     */
    private function candidates(): array
    {
        $neighbours = $owner = $pairs = [];
        foreach ($this->p->primitives as $k => $primitive) {
            foreach ($primitive['ids'] as $i) {
                $owner[$i] ??= $k;
                foreach ($primitive['ids'] as $j) {
                    if ($i !== $j) {
                        $neighbours[$i][$j] = 1;
                        $pairs[min($i, $j) * 4096 + max($i, $j)] ??= [$i, $j, $k];
                    }
                }
            }
        }
        $raw = [];
        foreach ($owner as $i => $k) {
            foreach ($this->freeArcs($i, array_keys($neighbours[$i] ?? [])) as $line) {
                $raw[] = [$line, $k];
            }
        }
        foreach ($pairs as [$i, $j, $k]) {
            foreach ($this->tangents($i, $j) as $line) {
                $raw[] = [$line, $k];
            }
        }

        return $raw;
    }

    /**
     * A circle without the parts where a linked sphere sticks out farther.
     *
     * @param list<int> $neighbours
     *
     * @return list<list<array{float, float, float, float, float}>>
     */
    private function freeArcs(int $sphere, array $neighbours): array
    {
        if (null !== $this->p->cutAt($sphere)) {
            return [];
        }
        [$cx, $cy, $cz, $r] = $this->p->circles[$sphere];
        $covered = [];
        foreach ($neighbours as $j) {
            [$x, $y, $z, $rj] = $this->p->circles[$j];
            $distance = hypot($x - $cx, $y - $cy);
            if ($distance < 1e-6 && abs($rj - $r) < 1e-6) {
                if ($z > $cz || ($z === $cz && $j < $sphere)) {
                    return []; // of two equal circles keep one
                }
                continue;
            }
            if ($distance <= $rj - $r + 1e-9) {
                return [];
            }
            if ($distance <= $r - $rj) {
                continue;
            }
            $f = atan2($y - $cy, $x - $cx);
            $h = acos(($r - $rj) / $distance);
            $covered[] = [$f - $h, $f + $h];
        }
        $lines = [];
        foreach (self::freeRanges($covered) as [$from, $to]) {
            $n = max(2, (int) ceil(($to - $from) * $r / self::STEP));
            $line = [];
            for ($q = 0; $q <= $n; ++$q) {
                $a = $from + ($to - $from) * $q / $n;
                $c = cos($a);
                $s = sin($a);
                $line[] = [$cx + $r * $c, $cy + $r * $s, $cz, $c, $s];
            }
            $lines[] = $line;
        }

        return $lines;
    }

    /** @return list<list<array{float, float, float, float, float}>> */
    private function tangents(int $i, int $j): array
    {
        [$ax, $ay, $az, $ar] = $this->p->circles[$i];
        [$bx, $by, $bz, $br] = $this->p->circles[$j];
        $distance = hypot($bx - $ax, $by - $ay);
        if (
            $distance <= abs($ar - $br) + 1e-9
            || (null !== $this->p->cutAt($i) && null !== $this->p->cutAt($j))
        ) {
            return [];
        }
        $f = atan2($by - $ay, $bx - $ax);
        $h = acos(($ar - $br) / $distance);
        $n = max(2, (int) ceil($distance / self::STEP));
        $lines = [];
        foreach ([$f - $h, $f + $h] as $a) {
            $c = cos($a);
            $s = sin($a);
            $line = [];
            for ($q = 0; $q <= $n; ++$q) {
                $t = $q / $n;
                $line[] = [
                    $ax + $ar * $c + ($bx - $ax + ($br - $ar) * $c) * $t,
                    $ay + $ar * $s + ($by - $ay + ($br - $ar) * $s) * $t,
                    $az + ($bz - $az) * $t,
                    $c,
                    $s,
                ];
            }
            $lines[] = $line;
        }

        return $lines;
    }

    /**
     * A full turn minus covered ranges of angle.
     *
     * @param list<array{float, float}> $covered
     *
     * @return list<array{float, float}>
     */
    private static function freeRanges(array $covered): array
    {
        if ([] === $covered) {
            return [[0.0, 2 * \M_PI]];
        }
        $all = [];
        foreach ($covered as [$f, $t]) {
            for ($k = -2; $k <= 2; ++$k) {
                $all[] = [$f + $k * 2 * \M_PI, $t + $k * 2 * \M_PI];
            }
        }
        sort($all);
        $at = $covered[0][1];
        $end = $at + 2 * \M_PI;
        $free = [];
        foreach ($all as [$f, $t]) {
            if ($t <= $at) {
                continue;
            }
            if ($f >= $end) {
                break;
            }
            if ($f > $at + 1e-6) {
                $free[] = [$at, min($f, $end)];
            }
            $at = max($at, $t);
        }
        if ($at < $end - 1e-6) {
            $free[] = [$at, $end];
        }

        return $free;
    }
}
