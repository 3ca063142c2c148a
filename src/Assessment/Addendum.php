<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

/** What became of a reading after its visit was signed: the visit stays as it was signed, this stands under it. */
final readonly class Addendum
{
    /** @param string $now empty: it was taken back */
    public function __construct(
        public string $name,
        public string $side,
        public string $was,
        public string $now,
        public string $reason,
        public string $byStaffId,
        public \DateTimeImmutable $at,
    ) {
    }
}
