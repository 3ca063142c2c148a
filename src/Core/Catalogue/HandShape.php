<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** A hand shape of the timing strand. Some mean something else in some places: a clinic may switch those off. */
final readonly class HandShape
{
    public function __construct(
        public string $key,
        public string $label,
        public string $form,
        public string $pose,
        public bool $mayBeSwitchedOff,
    ) {
    }
}
