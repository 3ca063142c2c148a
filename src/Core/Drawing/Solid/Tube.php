<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing\Solid;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\Scene;
use HandGarden\Core\Drawing\Vector;

/**
 * A round line through points with a thickness at each: handle, cord, rope of putty, loop.
 *
 * @phpstan-import-type Vec from Vector
 */
final readonly class Tube implements Solid
{
    /**
     * @param non-empty-list<Vec>   $through
     * @param non-empty-list<float> $radii   the last one goes on
     */
    public function __construct(
        public array $through,
        public array $radii,
        public ?string $tone = null,
        public bool $isClosed = false,
        public bool $isSmooth = false,
    ) {
    }

    public function addTo(Scene $scene, Frame $axes): void
    {
        $points = array_map(static fn (array $p): array => $axes->at(...$p), $this->through);
        self::along(
            $scene,
            $points,
            $this->radii,
            $this->tone,
            isClosed: $this->isClosed,
            isSmooth: $this->isSmooth,
        );
    }

    /**
     * @param non-empty-list<Vec>   $points in the scene
     * @param non-empty-list<float> $radii
     */
    public static function along(
        Scene $scene,
        array $points,
        array $radii,
        ?string $tone,
        bool $isClosed = false,
        bool $isSmooth = false,
    ): void {
        if ($isClosed) {
            $points[] = $points[0];
        }
        $steps = 1;
        if ($isSmooth && \count($points) > 2) {
            $steps = 3;
            $points = \HandGarden\Core\Drawing\Skin::spline($points, $steps);
        }
        $before = null;
        $last = \count($radii) - 1;
        foreach ($points as $k => $point) {
            $at = $k / $steps;
            $low = $radii[min($last, (int) floor($at))];
            $high = $radii[min($last, (int) ceil($at))];
            $radius = $low + ($high - $low) * ($at - floor($at));
            if (null !== $before) {
                $scene->beginSolid($tone);
                $scene->hull(
                    'thing',
                    $scene->ball($before[0], $before[1]),
                    $scene->ball($point, $radius),
                );
                $scene->endSolid();
            }
            $before = [$point, $radius];
        }
    }

    public function toArray(): array
    {
        return ['tube' => get_object_vars($this)];
    }
}
