<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Observations of one body part, asked together. */
final readonly class CheckList
{
    /** @param list<Observation> $observations */
    public function __construct(
        public string $key,
        public string $title,
        public array $observations,
    ) {
    }
}
