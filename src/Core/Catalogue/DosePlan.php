<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** How much of an exercise is done, between which bounds, and how it grows. */
final readonly class DosePlan
{
    /** @param list<ProgressSpec> $progress */
    public function __construct(
        public Dose $start,
        public DoseRange $range,
        public DoseKind $counted,
        public array $progress,
    ) {
    }
}
