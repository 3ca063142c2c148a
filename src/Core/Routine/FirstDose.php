<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\KnownFacts;

/** What an exercise begins with: no hold longer than the hand was found to keep; the shortest where nobody looked. */
final readonly class FirstDose
{
    public function __construct(
        private KnownFacts $known,
    ) {
    }

    public function of(Rung $rung, Hands $hands): Dose
    {
        $limit = $rung->dosing->holdLimit;
        if (null === $limit) {
            return $rung->dosing->start;
        }
        $held = [];
        foreach ($hands->each() as $side) {
            $seconds = $this->known->value($limit->code, $limit->argument, $side);
            $held[] = \is_float($seconds) ? $seconds : null;
        }

        return $rung->dosing->first(\in_array(null, $held, true) ? null : min($held));
    }
}
