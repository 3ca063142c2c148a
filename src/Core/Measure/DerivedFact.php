<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** A number that conditions ask for and that is worked out from several readings of one measure. */
final readonly class DerivedFact
{
    public function __construct(
        public string $code,
        public string $label,
        public Unit $unit,
        public int $secondsToTake,
    ) {
    }
}
