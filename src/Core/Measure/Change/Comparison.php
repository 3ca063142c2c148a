<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Taken;
use HandGarden\Core\Words\Phrase;

/** Two readings of the same thing, and whether the difference is real. */
final readonly class Comparison
{
    private function __construct(
        public Judgement $judgement,
        public ?float $difference,
        public ?RealDifference $srd,
        public ?Phrase $why = null,
    ) {
    }

    /**
     * @param list<Reading>            $history    of the same measure, for the repeats
     * @param int                     $readings   of how many readings each value is a sum
     */
    public static function from(
        MeasureKind $kind,
        Reading $older,
        Reading $newer,
        array $history,
        Terms $terms = new Terms(),
        int $readings = 1,
    ): self {
        if (!\is_float($older->value) || !\is_float($newer->value)) {
            return new self(Judgement::NotComparable, null, null, new Phrase('incomparable.no_number'));
        }
        $before = $older->taken ?? new Taken();
        $after = $newer->taken ?? new Taken();
        $injectedOn = $terms->injectedOn;
        $why = match (true) {
            $before->position !== $after->position => new Phrase('incomparable.position'),
            $before->medication !== $after->medication
                && self::matters($before)
                && self::matters($after) => new Phrase('incomparable.medicine'),
            $before->source !== $after->source => new Phrase('incomparable.way'),
            $older->byEye !== $newer->byEye => new Phrase('incomparable.by_eye'),
            null !== $injectedOn
                && InjectionPhase::at(
                    $injectedOn,
                    $older->on,
                ) !== InjectionPhase::at(
                    $injectedOn,
                    $newer->on,
                ) => new Phrase('incomparable.injection'),
            default => null,
        };
        $difference = $newer->value - $older->value;
        if (null !== $why) {
            return new self(Judgement::NotComparable, $difference, null, $why);
        }
        $srd = RealDifference::from(
            $kind,
            Repeats::ofReadings($history),
            Taken::bySame($before, $after),
            $newer->byEye,
            defaults: $terms->defaults,
            readings: $readings,
        );
        if (null === $srd) {
            return new self(
                Judgement::NeedsRepeats,
                $difference,
                null,
                new Phrase('incomparable.no_repeats'),
            );
        }

        return new self(
            $srd->judge($kind->lowerIsBetter ? -$difference : $difference),
            $difference,
            $srd,
        );
    }

    private static function matters(Taken $taken): bool
    {
        return \in_array($taken->medication, [MedicationState::On, MedicationState::Off], true);
    }
}
