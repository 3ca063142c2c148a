<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Something strung through places on the hand or the figure, with sizes in millimetres. */
final readonly class ThingPart
{
    /**
     * @param non-empty-list<Place>       $places
     * @param non-empty-list<float>       $sizes as the kind says
     * @param bool                        $isFurniture table, chair and floor have a tint of their own
     */
    public function __construct(
        public ThingKind $kind,
        public array $places,
        public array $sizes,
        public bool $isFurniture = false,
        public ?string $tone = null,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'places' => array_map(static fn (Place $p): array => $p->toArray(), $this->places),
            'sizes' => $this->sizes,
            'furniture' => $this->isFurniture,
            'tone' => $this->tone,
        ];
    }
}
