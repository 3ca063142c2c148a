<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Core\Report\ReportKind;

/** A report in a list, without its words. */
final readonly class ReportRow
{
    public function __construct(
        public string $id,
        public ReportKind $kind,
        public \DateTimeImmutable $from,
        public \DateTimeImmutable $until,
        public int $version,
        public string $draftedById,
        public string $signedAs,
        public ?\DateTimeImmutable $signedAt,
    ) {
    }
}
