<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Something looked at and answered yes or no; `parts` are asked one by one, such as the digits. */
final readonly class Observation
{
    /** @param list<string> $parts empty when the question has no part */
    public function __construct(
        public string $code,
        public string $question,
        public int $secondsToTake,
        public bool $sided,
        public bool $meansTrouble,
        public array $parts,
        public bool $isShortLived = false,
    ) {
    }

    public function accepts(?string $part): bool
    {
        return [] === $this->parts ? null === $part : \in_array($part, $this->parts, true);
    }
}
