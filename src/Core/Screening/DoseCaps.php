<?php

declare(strict_types=1);

namespace HandGarden\Core\Screening;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;

/** How much a clinic gives at most, whatever an exercise allows. Within what the exercise needs at least. */
final readonly class DoseCaps
{
    public function __construct(
        public int $holdSeconds = 60,
        public int $repetitions = 30,
        public float $loadKilograms = 2.0,
    ) {
    }

    public function cap(Dose $dose, Rung $rung): Dose
    {
        $range = $rung->dosing->range;
        $hold = max($range->holdSeconds[0], $this->holdSeconds);
        $repetitions = max($range->repetitions[0], $this->repetitions);
        $load = max($range->loadKilograms[0], $this->loadKilograms);
        $capped = $dose->holdSeconds > $hold ? $dose->withHold($hold) : $dose;
        $capped = $capped->repetitions > $repetitions ? $capped->withRepetitions($repetitions) : $capped;

        return $capped->loadKilograms > $load ? $capped->withLoad($load) : $capped;
    }
}
