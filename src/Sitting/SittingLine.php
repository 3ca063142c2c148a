<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

/** A sitting as a list names it. */
final readonly class SittingLine
{
    public function __construct(
        public string $id,
        public \DateTimeImmutable $day,
        public bool $finished,
        public string $note,
    ) {
    }
}
