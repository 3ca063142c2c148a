<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Measure\Finding\Settings;
use HandGarden\Core\Screening\DoseCaps;

/** By which figures of the clinic a client is judged. */
final readonly class Thresholds
{
    public function __construct(
        public Ages $ages = new Ages(),
        public Settings $findings = new Settings(),
        public DoseCaps $caps = new DoseCaps(),
    ) {
    }
}
