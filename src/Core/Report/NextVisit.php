<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** A visit that was agreed. */
final readonly class NextVisit
{
    public function __construct(
        public string $lookId,
        public \DateTimeImmutable $on,
    ) {
    }
}
