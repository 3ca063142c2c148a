<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** Path data with the class that says what it is. */
final readonly class Layer
{
    /** @param array{float, float, float, float}|null $box of an outline fill */
    public function __construct(
        public string $class,
        public string $data,
        public bool $evenOdd = false,
        public ?array $box = null,
        public string $moved = '',
        public string $within = '',
    ) {
    }

    /**
     * The same somewhere else and smaller, an SVG transform, and only as far as it lies within an outline.
     *
     * @param string $within path data of the outline
     */
    public function moved(string $transform, string $within): self
    {
        return new self(
            $this->class,
            $this->data,
            $this->evenOdd,
            $this->box,
            moved: $transform,
            within: $within,
        );
    }
}
