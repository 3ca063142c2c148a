<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** What the legs do while the hands form shapes: with certain shapes, or all through a set, which changes with it. */
final readonly class Legs
{
    /**
     * @param array<string, string> $byUnit words by shape
     * @param list<string>          $bySet  words for the first set, the second and so on, then from the front again
     */
    public function __construct(
        private array $byUnit = [],
        private array $bySet = [],
    ) {
    }

    /** @return string empty: they rest */
    public function words(?string $unit, int $set): string
    {
        if ([] !== $this->bySet) {
            return $this->bySet[(max(1, $set) - 1) % \count($this->bySet)];
        }

        return $this->byUnit[$unit ?? ''] ?? '';
    }
}
