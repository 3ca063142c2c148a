<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\ProgressSpec;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\FactCode;
use HandGarden\Core\Placement\KnownFacts;

/**
 * What an exercise begins with: no hold longer than the hand was found to keep, no wrist further back than where it let
 * go; the least where nobody looked.
 */
final readonly class FirstDose
{
    public function __construct(
        private KnownFacts $known,
    ) {
    }

    public function of(Rung $rung, Hands $hands): Dose
    {
        $finger = $rung->dosing->climbing(Challenge::Finger);
        $limit = $rung->dosing->holdLimit;
        if (null !== $finger && null !== $limit) {
            return $this->ofFinger($rung, $hands, $limit, array_map(\strval(...), $finger->levels));
        }
        $dose = null === $limit
            ? $rung->dosing->start
            : $rung->dosing->first($this->least($limit, $hands));
        $angle = $rung->dosing->climbing(Challenge::Angle);

        return null === $angle ? $dose : $this->atAngle($dose, $angle, $hands);
    }

    /**
     * The first finger that does not hold as long as it may yet, with a hold of its own.
     *
     * @param list<string> $fingers in their order
     */
    private function ofFinger(Rung $rung, Hands $hands, FactCode $limit, array $fingers): Dose
    {
        $longest = $rung->dosing->range->holdSeconds[1];
        foreach ($fingers as $finger) {
            $held = $this->least(new FactCode($limit->code, $finger), $hands);
            if (null === $held || $held < $longest) {
                return $rung->dosing->first($held)->at(Challenge::Finger, $finger);
            }
        }

        return $rung->dosing->first((float) $longest)->at(Challenge::Finger, $fingers[\count($fingers) - 1]);
    }

    /** No further back than where the fingers were seen to let go, rounded toward hanging. */
    private function atAngle(Dose $dose, ProgressSpec $angle, Hands $hands): Dose
    {
        $seen = null === $angle->measured ? null : $this->least($angle->measured, $hands);
        $fitting = array_filter(
            $angle->levels,
            static fn (int|float|string $level): bool => null !== $seen && (float) $level <= $seen,
        );

        return [] === $fitting ? $dose : $dose->at(Challenge::Angle, max($fitting));
    }

    /** The lesser of the hands that do it; null: it is not known of one. */
    private function least(FactCode $fact, Hands $hands): ?float
    {
        $found = [];
        foreach ($hands->each() as $side) {
            $value = $this->known->value($fact->code, $fact->argument, $side);
            $found[] = \is_float($value) ? $value : null;
        }

        return \in_array(null, $found, true) ? null : min($found);
    }
}
