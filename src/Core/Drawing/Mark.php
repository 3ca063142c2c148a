<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** A sign in a picture, hung on places of its scene. */
final readonly class Mark
{
    /**
     * @param non-empty-list<Place> $places
     * @param ?float                $size  radius in millimetres, where the kind has one
     * @param string                $text  a figure from 1 to 5 or a question mark
     */
    public function __construct(
        public MarkKind $kind,
        public array $places,
        public ?float $size = null,
        public string $text = '',
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'kind' => $this->kind->value,
            'places' => array_map(static fn (Place $p): array => $p->toArray(), $this->places),
            'size' => $this->size,
            'text' => $this->text,
        ];
    }
}
