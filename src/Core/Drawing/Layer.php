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
    ) {
    }
}
