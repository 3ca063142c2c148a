<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Vector;

/**
 * What a lathe turns: cup, bottle, bowl, coin, pencil, head of a dumb-bell. A row of the profile is a height along the
 * axis and a radius there; between two rows it is a straight wall with a tint of its own.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Lathe implements Solid
{
    private const RIM = 1.6;

    /**
     * @param Vec                          $at      where the axis begins
     * @param Vec                          $along   its direction
     * @param list<array{float, float}>    $profile two rows or more
     * @param list<string|null>            $tones   of the walls
     * @param bool                         $isOpen  at its far end one looks into it
     * @param list<float>                  $lines   heights at which a line runs round it
     * @param ?string                      $face    tint of a disc on the far end
     */
    public function __construct(
        public array $at,
        public array $along,
        public array $profile,
        public array $tones = [],
        public bool $isOpen = false,
        public array $lines = [],
        public int $sides = 0,
        public float $edge = 1.0,
        public ?string $face = null,
    ) {
    }

    public function addTo(Scene $scene, Frame $axes): void
    {
        $axis = Circle::facing(
            $axes->move(...$this->at),
            $this->along,
        );
        $rows = \count($this->profile);
        for ($k = 1; $k < $rows; ++$k) {
            $scene->beginSolid($this->tones[$k - 1] ?? $this->tones[0] ?? null);
            $this->wall(
                $scene,
                $axis,
                $this->profile[$k - 1],
                $this->profile[$k],
            );
            if ($k === $rows - 1) {
                $this->end($scene, $axis);
            }
            $scene->endSolid();
        }
        foreach ($this->lines as $height) {
            $scene->edge(Circle::of($axis->move(0.0, $height, 0.0), $this->radiusAt($height)));
        }
    }

    public function toArray(): array
    {
        return ['lathe' => get_object_vars($this)];
    }

    private function end(Scene $scene, Frame $axis): void
    {
        [$height, $radius] = $this->profile[\count($this->profile) - 1];
        $rim = $axis->move(0.0, $height, 0.0);
        if ($this->isOpen) {
            $scene->patch(
                Circle::of($rim, max(.5, $radius - self::RIM)),
                $axis->y,
                'inside',
            );
            $scene->edge(Circle::of($rim, max(.5, $radius - self::RIM)));
        } elseif (null !== $this->face) {
            $scene->patch(
                Circle::of($rim, $radius * .62),
                $axis->y,
                $this->face,
            );
        }
        if ($radius > 3.0) {
            $scene->edge(Circle::of($rim, $radius - .2));
        }
    }

    /**
     * @param array{float, float} $from
     * @param array{float, float} $to
     */
    private function wall(Scene $scene, Frame $axis, array $from, array $to): void
    {
        $radius = max($from[1], $to[1]);
        $n = $this->sides > 2 ? $this->sides : match (true) {
            $radius > 20 => 18,
            $radius > 12 => 14,
            default => 10,
        };
        $edge = min($this->edge, .45 * abs($to[0] - $from[0]));
        $lower = $this->ring(
            $scene,
            $axis->move(0.0, $from[0] + $edge, 0.0),
            $from[1],
            $edge,
            n: $n,
        );
        $upper = $this->ring(
            $scene,
            $axis->move(0.0, $to[0] - $edge, 0.0),
            $to[1],
            $edge,
            n: $n,
        );
        $top = $scene->ball(
            $axis->at(0.0, $to[0] - $edge, 0.0),
            $edge,
        );
        $bottom = $scene->ball(
            $axis->at(0.0, $from[0] + $edge, 0.0),
            $edge,
        );
        for ($k = 0; $k < $n; ++$k) {
            $j = ($k + 1) % $n;
            $scene->hull(
                'thing',
                $lower[$k],
                $lower[$j],
                $upper[$k],
            );
            $scene->hull(
                'thing',
                $lower[$j],
                $upper[$k],
                $upper[$j],
            );
            $scene->hull('thing', $bottom, $lower[$k], $lower[$j]);
            $scene->hull('thing', $top, $upper[$k], $upper[$j]);
        }
    }

    /** @return list<int> */
    private function ring(Scene $scene, Frame $at, float $radius, float $edge, int $n): array
    {
        $ids = [];
        foreach (\array_slice(Circle::of($at, max(.05, $radius - $edge), $n), 0, $n) as $place) {
            $ids[] = $scene->ball($place, $edge);
        }

        return $ids;
    }

    private function radiusAt(float $height): float
    {
        $before = $this->profile[0];
        foreach ($this->profile as $row) {
            if ($row[0] >= $height && $row[0] > $before[0]) {
                return $before[1] + ($row[1] - $before[1]) * ($height - $before[0]) / ($row[0] - $before[0]);
            }
            $before = $row;
        }

        return $before[1];
    }
}
