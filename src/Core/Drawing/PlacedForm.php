<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Drawing\Solid\Circle;
use HandGarden\Core\Drawing\Solid\Solid;

/**
 * A thing of fixed shape, put somewhere: its axes are those of the place it is put on, turned; or its y axis runs from
 * there to a second place.
 */
final readonly class PlacedForm
{
    /**
     * @param non-empty-list<Solid>            $solids
     * @param array{float, float, float}       $turn   tilt, roll and flex in degrees
     */
    public function __construct(
        public array $solids,
        public Place $at,
        public ?Place $towards = null,
        public array $turn = [0.0, 0.0, 0.0],
        public bool $isFurniture = false,
    ) {
    }

    public function putInto(Scene $scene): void
    {
        $origin = $this->at->in($scene);
        $axes = ($scene->frames[$this->at->on] ?? $scene->frames['hand'] ?? new Frame())->atOrigin($origin);
        if (null !== $this->towards) {
            $to = Vector::sub($this->towards->in($scene), $origin);
            $axes = Circle::facing(
                (new Frame())->atOrigin($origin),
                $to,
            );
        }
        $axes = $axes->tilt($this->turn[0])->roll($this->turn[1])->flex($this->turn[2]);
        $scene->body = $this->isFurniture ? 'furniture' : 'object';
        foreach ($this->solids as $solid) {
            $solid->addTo($scene, $axes);
        }
        if (!$this->isFurniture) {
            $scene->anchors['thing'] ??= $origin;
        }
        $scene->body = 'hand';
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'solids' => array_map(static fn (Solid $s): array => $s->toArray(), $this->solids),
            'at' => $this->at->toArray(),
            'towards' => $this->towards?->toArray(),
            'turn' => $this->turn,
            'furniture' => $this->isFurniture,
        ];
    }
}
