<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

/** Smallest real differences before a client's own repeats say more; a clinic sets its own. See docs/sources.md. */
final readonly class Defaults
{
    public function __construct(
        public float $jointSameTesterDegrees = 5.0,
        public float $jointOtherTesterDegrees = 10.0,
        public float $openingMeasuredPoints = 10.0,
        public float $openingByEyePoints = 20.0,
        public float $toneGrades = 1.0,
        public float $oppositionPlaces = 2.0,
    ) {
    }
}
