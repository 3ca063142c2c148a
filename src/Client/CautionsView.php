<?php

declare(strict_types=1);

namespace HandGarden\Client;

final readonly class CautionsView
{
    /**
     * @param list<string> $stops
     * @param list<string> $notes
     */
    public function __construct(
        public array $stops,
        public array $notes,
        public int $unasked,
        public string $emergencyNumber,
    ) {
    }
}
