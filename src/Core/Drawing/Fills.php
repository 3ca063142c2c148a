<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * The flat tints of a scene, painted from far to near. What lies before what is looked up: on a raster of the screen
 * the depths of all shapes are compared, and each pair of shapes of two tints is painted in the order that most of
 * these points show. So a pencil goes behind the thumb and before the finger, as it is held.
 *
 * @phpstan-type Item array{tint: string, z: float, primitives: non-empty-list<int>, solid: int, isLimb: bool}
 */
final class Fills
{
    private const RASTER = 3.2;
    private const POINTS = 16;
    /** Its edges lie under the ink. */
    private const TOLERANCE = .2;
    /** One deep overlap must not outweigh many shallow ones. */
    private const MOST_DEPTH = 10.0;
    /** A digit lies above the palm that it grows out of. */
    private const LIMB_BEFORE_PALM = 6.0;
    private const LIGHT = [-.45, -.7, .55];

    /** @var array<string, Item> */
    private array $items = [];

    /** @var list<string> key of the item of each primitive */
    private array $keys = [];

    /** @param list<string> $grounded bodies that are filled by their outlines beforehand */
    public function __construct(
        private readonly Projection $p,
        private readonly Look $look = new Look(),
        private readonly array $grounded = [],
    ) {
        foreach ($p->primitives as $k => $primitive) {
            $this->add(
                $k,
                $primitive['group'],
                $primitive['body'],
                $primitive['solid'],
            );
        }
    }

    /** @return list<Layer> */
    public function layers(): array
    {
        $layers = [];
        $last = '';
        $data = '';
        $behind = $this->pairs();
        foreach ($this->sorted($behind) as $key) {
            $item = $this->items[$key];
            if ($this->isAlone($key, $behind)) {
                continue;
            }
            $tint = 'fill-'.$item['tint'];
            if ($tint !== $last) {
                $layers[] = new Layer($last, $data);
                $data = '';
            }
            $last = $tint;
            $data .= $this->shape($item);
            $patches = $this->patches($item['solid']);
            if ([] !== $patches) {
                array_push($layers, new Layer($last, $data), ...$patches);
                $data = $last = '';
            }
        }
        $layers[] = new Layer($last, $data);

        return array_values(array_filter($layers, static fn (Layer $l): bool => '' !== $l->data));
    }

    private function add(int $primitive, string $group, string $body, int $solid): void
    {
        $part = explode('/', $group)[0];
        $isLimb = $part !== $group;
        $key = match (true) {
            $solid > 0 => 's'.$solid,
            $isLimb => $body.$solid.$group,
            default => 'p'.$primitive,
        };
        $this->keys[] = $key;
        $z = $this->p->primitives[$primitive]['z'];
        if (isset($this->items[$key])) {
            $this->items[$key]['primitives'][] = $primitive;
            $this->items[$key]['z'] = max($z, $this->items[$key]['z']);

            return;
        }
        $isOwn = 'hand' === $body;
        $this->items[$key] = [
            'tint' => match (true) {
                $solid > 0 => $this->p->scene->tones[$solid] ?? $body,
                $isOwn && \in_array($part, $this->look->focus, true) => 'focus',
                $isOwn => $this->look->tints[$part] ?? $this->dress($part) ?? $body,
                default => $this->dress($part, 'sleeve') ?? $body,
            },
            'z' => $z,
            'primitives' => [$primitive],
            'solid' => $solid,
            'isLimb' => $isLimb,
        ];
    }

    /** A figure wears clothes; only the arm that works has the tint of the trained hand. */
    private function dress(string $part, string $shirt = 'dress'): ?string
    {
        if (!isset($this->p->scene->frames['head'])) {
            return null;
        }

        return match (true) {
            'palm' === $part => $shirt,
            'head' === $part => 'skin',
            str_starts_with($part, 'leg-') => 'trousers',
            'sleeve' === $shirt, str_ends_with($part, '-left') => 'skin',
            default => null,
        };
    }

    /** @param Item $item */
    private function shape(array $item): string
    {
        if ($item['solid'] > 0) {
            $ids = [];
            foreach ($item['primitives'] as $k) {
                array_push($ids, ...$this->p->primitives[$k]['ids']);
            }

            return PathData::from(Polyline::simplify($this->p->around($ids, .2, 56), self::TOLERANCE));
        }
        $data = '';
        foreach ($item['primitives'] as $k) {
            $data .= PathData::from(
                Polyline::simplify(
                    $this->p->polygon($k, .5, self::POINTS),
                    self::TOLERANCE,
                ),
            );
        }

        return $data;
    }

    /** @return list<Layer> fields on a solid that face the viewer */
    private function patches(int $solid): array
    {
        $layers = [];
        foreach ($solid > 0 ? $this->p->scene->patches : [] as [$corners, $facing, $tone, $of]) {
            if ($of !== $solid) {
                continue;
            }
            $camera = $this->p->camera;
            if (null !== $facing && Vector::dot($facing, $camera->toViewer) < .04) {
                continue;
            }
            if ('face' === $tone && null !== $facing) {
                $n = $camera->project($facing);
                $lit = $n[0] * self::LIGHT[0] + $n[1] * self::LIGHT[1] + $n[2] * self::LIGHT[2];
                $tone = match (true) {
                    $lit > .6 => 'light',
                    $lit < .2 => 'shade',
                    default => '',
                };
            }
            if ('' !== $tone) {
                $flat = array_map(static fn (array $c): array => $camera->project($c), $corners);
                $layers[] = new Layer(
                    'patch-'.$tone,
                    PathData::from(Polyline::simplify($flat, .05)),
                );
            }
        }

        return $layers;
    }

    /**
     * Flesh that no other tint lies over or under: the fill of its body has it already.
     *
     * @param array<string, array<string, true>> $behind
     */
    private function isAlone(string $key, array $behind): bool
    {
        $item = $this->items[$key];
        $body = $this->p->primitives[$item['primitives'][0]]['body'];
        $isGrounded = \in_array($body, $this->grounded, true);
        if (!$isGrounded || $item['solid'] > 0 || $item['tint'] !== $body || isset($behind[$key])) {
            return false;
        }
        foreach ($behind as $nearer) {
            if (isset($nearer[$key])) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param array<string, array<string, true>> $behind
     *
     * @return list<string> keys from far to near
     */
    private function sorted(array $behind): array
    {
        $waits = array_fill_keys(array_keys($this->items), 0);
        foreach ($behind as $nearer) {
            foreach ($nearer as $key => $_) {
                ++$waits[$key];
            }
        }
        $left = array_map(static fn (array $item): float => $item['z'], $this->items);
        asort($left);
        $order = [];
        while ([] !== $left) {
            $next = null;
            foreach ($left as $key => $_) {
                if (0 === $waits[$key]) {
                    $next = $key;
                    break;
                }
            }
            $next ??= self::leastWaiting(
                $left,
                $waits,
            ); // three that lie round each other: the farthest first
            $order[] = $next;
            unset($left[$next]);
            foreach ($behind[$next] ?? [] as $key => $_) {
                --$waits[$key];
            }
        }

        return $order;
    }

    /**
     * @param non-empty-array<string, float> $left
     * @param array<string, int>             $waits
     */
    private static function leastWaiting(array $left, array $waits): string
    {
        $best = array_key_first($left);
        foreach ($left as $key => $_) {
            $best = $waits[$key] < $waits[$best] ? $key : $best;
        }

        return $best;
    }

    /** @return array<string, array<string, true>> what lies before each item, of another tint */
    private function pairs(): array
    {
        $sum = [];
        [$left, $top, $right, $bottom] = $this->p->box();
        for ($y = $top + .5; $y < $bottom; $y += self::RASTER) {
            for ($x = $left + .5; $x < $right; $x += self::RASTER) {
                $fronts = $this->frontsAt($x, $y);
                foreach ($fronts as $a => $za) {
                    foreach ($fronts as $b => $zb) {
                        if ($a < $b && $this->items[$a]['tint'] !== $this->items[$b]['tint']) {
                            $sum[$a][$b] = ($sum[$a][$b] ?? 0.0)
                                + max(
                                    -self::MOST_DEPTH,
                                    min(
                                        self::MOST_DEPTH,
                                        $this->lead($a, $b, $za - $zb),
                                    ),
                                );
                        }
                    }
                }
            }
        }
        $behind = [];
        foreach ($sum as $a => $others) {
            foreach ($others as $b => $lead) {
                if ($lead > 0.0) {
                    $behind[$b][$a] = true;
                } elseif ($lead < 0.0) {
                    $behind[$a][$b] = true;
                }
            }
        }

        return $behind;
    }

    private function lead(string $a, string $b, float $depth): float
    {
        [$one, $other] = [$this->items[$a], $this->items[$b]];
        if ($one['solid'] > 0 || $one['solid'] !== $other['solid']) {
            return $depth;
        }

        return $depth + self::LIMB_BEFORE_PALM * ((int) $one['isLimb'] - (int) $other['isLimb']);
    }

    /** @return array<string, float> depth of every item that covers a point, if they are of two tints or more */
    private function frontsAt(float $x, float $y): array
    {
        $near = $this->p->near($x, $y);
        $tint = null;
        $isMixed = false;
        foreach ($near as $k) {
            $its = $this->items[$this->keys[$k]]['tint'];
            $tint ??= $its;
            if ($its !== $tint) {
                $isMixed = true;
                break;
            }
        }
        $fronts = [];
        foreach ($isMixed ? $near : [] as $k) {
            $z = $this->p->front($k, $x, $y);
            $key = $this->keys[$k];
            if (null !== $z && $z > ($fronts[$key] ?? -\INF)) {
                $fronts[$key] = $z;
            }
        }

        return $fronts;
    }
}
