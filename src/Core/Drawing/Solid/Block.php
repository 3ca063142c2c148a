<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Vector;

/**
 * A block with soft edges: three tones for its faces, and a mark on one of them.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Block implements Solid
{
    private const ABOVE = .2;

    /** Corners of each face by the direction in which it looks. */
    private const FACES = [
        '-x' => [0, 1, 3, 2],
        '+x' => [4, 5, 7, 6],
        '-y' => [0, 1, 5, 4],
        '+y' => [2, 3, 7, 6],
        '-z' => [0, 2, 6, 4],
        '+z' => [1, 3, 7, 5],
    ];

    /**
     * @param Vec     $at    centre
     * @param Vec     $size  width, height, depth
     * @param ?string $mark  the face that carries a mark, as '+z'
     * @param bool    $pores those of a sponge, on every face
     */
    public function __construct(
        public array $at,
        public array $size,
        public ?string $tone = null,
        public float $edge = 2.0,
        public ?string $mark = null,
        public bool $pores = false,
    ) {
    }

    public function addTo(Scene $scene, Frame $axes): void
    {
        $axes = $axes->move(...$this->at);
        $scene->beginSolid($this->tone);
        $half = array_map(fn (float $s): float => max(.05, $s / 2 - $this->edge), $this->size);
        $corners = $ids = [];
        foreach ([-1, 1] as $i) {
            foreach ([-1, 1] as $j) {
                foreach ([-1, 1] as $k) {
                    $corners[] = $place = $axes->at(
                        $i * $half[0],
                        $j * $half[1],
                        $k * $half[2],
                    );
                    $ids[] = $scene->ball($place, $this->edge);
                }
            }
        }
        foreach (self::FACES as $name => [$a, $b, $c, $d]) {
            $scene->hull('thing', $ids[$a], $ids[$b], $ids[$c]);
            $scene->hull('thing', $ids[$a], $ids[$c], $ids[$d]);
            $this->face(
                $scene,
                $axes,
                $name,
                [$corners[$a], $corners[$b], $corners[$c], $corners[$d]],
            );
        }
        $scene->endSolid();
    }

    public function toArray(): array
    {
        return ['block' => get_object_vars($this)];
    }

    /** @param array{Vec, Vec, Vec, Vec} $corners */
    private function face(Scene $scene, Frame $axes, string $name, array $corners): void
    {
        $axis = match ($name[1]) {
            'x' => $axes->x,
            'y' => $axes->y,
            default => $axes->z,
        };
        $out = Vector::times($axis, '-' === $name[0] ? -1.0 : 1.0);
        $lifted = array_map(
            fn (array $c): array => Vector::add($c, Vector::times($out, $this->edge + self::ABOVE)),
            $corners,
        );
        $scene->patch($lifted, $out, 'face');
        $scene->edge([...$lifted, $lifted[0]], .8);
        $middle = Vector::mix($lifted[0], $lifted[2], .5);
        $spread = static fn (float $u, float $v): array => Vector::add(
            $middle,
            Vector::add(
                Vector::times(Vector::sub($lifted[1], $lifted[0]), $u),
                Vector::times(Vector::sub($lifted[3], $lifted[0]), $v),
            ),
        );
        if ($name === $this->mark) {
            $ray = static fn (int $k): float => 0 === $k % 2 ? .36 : .15;
            $star = array_map(
                static fn (int $k): array => $spread($ray($k) * sin(\M_PI * $k / 5), $ray($k) * cos(
                    \M_PI * $k / 5,
                )),
                range(0, 9),
            );
            $scene->patch($star, $out, 'dark');
        } elseif ($this->pores) {
            foreach ([[-.3, -.2], [.1, -.33], [.3, .05], [-.1, .1], [-.32, .3], [.18, .34]] as [$u, $v]) {
                $scene->patch([
                    $spread($u - .05, $v), $spread($u, $v - .05), $spread($u + .05, $v), $spread(
                        $u,
                        $v + .05,
                    ),
                ], $out, 'shade');
            }
        }
    }
}
