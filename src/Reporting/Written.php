<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

/** What was written of a time, as it is kept. */
final readonly class Written
{
    /**
     * @param list<array<string, mixed>> $lines  see ReportFormat
     * @param list<array<string, mixed>> $charts see ChartFormat
     */
    public function __construct(
        public array $lines,
        public array $charts,
    ) {
    }
}
