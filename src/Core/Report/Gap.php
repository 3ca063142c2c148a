<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** Days on which nothing was logged. */
final readonly class Gap
{
    /** @param non-empty-list<string> $sittings the last before it and the first after it, as far as there are */
    public function __construct(
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public bool $isIllness,
        public array $sittings,
    ) {
    }
}
