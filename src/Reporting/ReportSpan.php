<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Core\Report\ReportKind;

/** What a report is about: its kind, the days it tells of, and the day on which it is written. */
final readonly class ReportSpan
{
    /** @param \DateTimeImmutable $asOf in the client's zone: what lies ahead is told as it was seen then */
    public function __construct(
        public ReportKind $kind,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public \DateTimeImmutable $asOf,
    ) {
    }

    public function holds(\DateTimeImmutable $day): bool
    {
        return $day >= $this->from && $day <= $this->until;
    }

    public function days(): int
    {
        return (int) $this->from->diff($this->until)->format('%a') + 1;
    }
}
