<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** One shape of a thing, with places on the hand or the figure and sizes in millimetres. */
final readonly class ThingPart
{
    /**
     * @param non-empty-list<Place>       $places
     * @param non-empty-list<float>       $sizes as the kind says
     * @param array{float, float, float}  $turn  tilt, roll and flex of a block's axes in degrees
     * @param bool                        $isFurniture table, chair and floor have a tint of their own
     */
    public function __construct(
        public ThingKind $kind,
        public array $places,
        public array $sizes,
        public array $turn = [0.0, 0.0, 0.0],
        public bool $isFurniture = false,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'places' => array_map(static fn (Place $p): array => $p->toArray(), $this->places),
            'sizes' => $this->sizes,
            'turn' => $this->turn,
            'furniture' => $this->isFurniture,
        ];
    }
}
