<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What a sitting may take where no client says otherwise. A clinic sets its own, see docs/sources.md. */
final readonly class SittingDefaults
{
    public function __construct(
        /** Minutes of a sitting with a therapist. */
        public int $clinicMinutes = 45,
        public int $homeItems = Limits::HOME_ITEMS,
        public int $clinicItems = 12,
        /** Effort a minute by stamina; effort is minutes times intensity (1 to 5). */
        public float $lowEffort = 2.0,
        public float $usualEffort = 3.0,
        public float $goodEffort = 3.5,
        /** Places of a class that one of the staff looks after. */
        public int $classPlaces = 6,
    ) {
    }
}
