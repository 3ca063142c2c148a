<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * A hand in few strokes, fast enough to follow a sensor: palm and digits as filled shapes, each with its outline, the
 * far ones first, so that the fingers are told apart from any side.
 */
final readonly class Sketch
{
    private const POINTS = 20;

    public function __construct(
        private Projection $projection,
    ) {
    }

    /** @return list<Layer> */
    public function layers(): array
    {
        $parts = [];
        $nearest = [];
        foreach ($this->projection->primitives as $k => $primitive) {
            [$digit, $segment] = explode('/', $primitive['group']) + [1 => null];
            $part = null === $segment ? 'palm' : $digit.(int) ((int) $segment > 0);
            $parts[$part][] = $k;
            $nearest[$part][] = $primitive['z'];
        }
        $depth = array_map(static fn (array $z): float => array_sum($z) / \count($z), $nearest);
        asort($depth);
        $layers = [];
        foreach (array_keys($depth) as $part) {
            $data = '';
            foreach ($parts[$part] as $k) {
                $data .= PathData::from($this->projection->polygon($k, 0.0, self::POINTS));
            }
            array_push(
                $layers,
                new Layer('sketch-line', $data),
                new Layer('fill-hand', $data),
            );
        }

        return $layers;
    }
}
