<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Joint;
use HandGarden\Core\Anatomy\Side;

/**
 * What the readings of one digit add up to. Figures are null while a joint is not measured; `missing` says which.
 *
 * Total motion = sum of flexion ends - sum of deficits, a deficit being how far the joint stops short of straight;
 * hyperextension counts 0. TAM from active, TPM from passive readings.
 */
final readonly class FingerMotion
{
    /**
     * @param list<string>          $missing       joint and direction of readings that total motion still needs
     * @param array<string, ?float> $lagDegrees    per joint: active deficit - passive deficit
     * @param list<string>          $toRemeasure   joints whose lag is below -5 deg: passive motion cannot be
     *     less than active
     */
    private function __construct(
        public Digit $digit,
        public Mode $mode,
        public ?float $totalDegrees,
        public array $missing,
        public ?float $openingPercent,
        public array $lagDegrees,
        public array $toRemeasure,
    ) {
    }

    public static function from(Readings $readings, Side $side, Digit $digit, Mode $mode): self
    {
        $total = 0.0;
        $deficits = 0.0;
        $missing = $missingDeficits = $lags = $remeasure = [];
        foreach ($digit->hinges() as $joint) {
            $flexion = self::degrees(
                $readings,
                $side,
                $digit,
                $joint,
                direction: 'flexion',
                mode: $mode,
            );
            $deficit = self::deficit($readings, $side, $digit, $joint, mode: $mode);
            if (null === $flexion) {
                $missing[] = $joint->label().' bent';
            }
            if (null === $deficit) {
                $missingDeficits[] = $joint->label().' straight';
            }
            $total += ($flexion ?? 0.0) - ($deficit ?? 0.0);
            $deficits += $deficit ?? 0.0;
            $lag = self::lag($readings, $side, $digit, $joint);
            $lags[$joint->value] = null === $lag ? null : max(0.0, $lag);
            if (null !== $lag && $lag < -5.0) {
                $remeasure[] = $joint->label();
            }
        }
        $opening = Digit::Thumb === $digit || [] !== $missingDeficits
            ? null
            : Opening::fromDeficits($deficits);
        $missing = [...$missing, ...$missingDeficits];

        return new self(
            $digit,
            $mode,
            [] === $missing ? $total : null,
            $missing,
            openingPercent: $opening,
            lagDegrees: $lags,
            toRemeasure: $remeasure,
        );
    }

    /** How far a joint stops short of straight, in degrees, zero or more; null when not measured. */
    private static function deficit(
        Readings $readings,
        Side $side,
        Digit $digit,
        Joint $joint,
        Mode $mode,
    ): ?float {
        $end = self::degrees($readings, $side, $digit, $joint, direction: 'extension', mode: $mode);

        return null === $end ? null : max(0.0, $end);
    }

    private static function lag(Readings $readings, Side $side, Digit $digit, Joint $joint): ?float
    {
        $active = self::deficit($readings, $side, $digit, $joint, mode: Mode::Active);
        $passive = self::deficit($readings, $side, $digit, $joint, mode: Mode::Passive);

        return null === $active || null === $passive ? null : $active - $passive;
    }

    private static function degrees(
        Readings $readings,
        Side $side,
        Digit $digit,
        Joint $joint,
        string $direction,
        Mode $mode,
    ): ?float {
        $value = $readings->newest(
            \sprintf('%s_%s_%s', $digit->value, $joint->value, $direction),
            $side,
            $mode,
        )?->value;

        return \is_float($value) ? $value : null;
    }
}
