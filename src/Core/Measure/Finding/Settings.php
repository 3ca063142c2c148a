<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

/** Thresholds of the findings, from practice; a clinic sets its own. See docs/sources.md. */
final readonly class Settings
{
    public function __construct(
        public float $gainPoints = 20.0,
        public float $stiffOpeningPercent = 60.0,
        public float $freeOpeningPercent = 70.0,
        public float $weakOpeningPercent = 40.0,
        public float $meanLagDegrees = 30.0,
        public float $hardSpreadDegrees = 10.0,
        public float $toneSpreadDegrees = 20.0,
        public float $intrinsicDegrees = 15.0,
        public float $limitedBelowOtherDegrees = 15.0,
    ) {
    }
}
