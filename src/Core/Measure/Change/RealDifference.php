<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\Unit;
use HandGarden\Core\Words\Phrase;

/**
 * The smallest difference that is more than error of measurement: SRD = 1.96 x sqrt(2) x SEM. SEM is the client's own
 * once there are enough repeats, and never below what the default implies; before that the default.
 */
final readonly class RealDifference
{
    private const FACTOR = 1.96 * \M_SQRT2;

    private function __construct(
        public float $value,
        public Phrase $from,
    ) {
    }

    /**
     * @param int $readings of how many readings the value is a sum: errors add up as the square root
     *
     * @return self|null null when there is neither a default nor enough repeats
     */
    public static function from(
        MeasureKind $kind,
        Repeats $repeats,
        bool $sameTester,
        bool $byEye,
        Defaults $defaults = new Defaults(),
        int $readings = 1,
    ): ?self {
        $default = match (true) {
            'opening' === $kind->code => $byEye
                ? $defaults->openingByEyePoints
                : $defaults->openingMeasuredPoints,
            Unit::Degrees === $kind->unit => $sameTester
                ? $defaults->jointSameTesterDegrees * sqrt($readings)
                : $defaults->jointOtherTesterDegrees * sqrt($readings),
            Unit::Grade === $kind->unit => $defaults->toneGrades,
            'opposition_0to10' === $kind->code => $defaults->oppositionPlaces,
            default => null,
        };
        if (!$repeats->areEnough()) {
            $isPlain = $sameTester || Unit::Degrees !== $kind->unit;
            $basis = $isPlain ? 'real_difference.default' : 'real_difference.two_testers';

            return null === $default ? null : new self($default, new Phrase($basis));
        }
        $own = self::FACTOR * $repeats->deviation;

        return $own >= ($default ?? 0.0)
            ? new self($own, new Phrase('real_difference.own_repeats', ['days' => $repeats->days]))
            : new self((float) $default, new Phrase('real_difference.default_wider'));
    }

    /** Signed difference toward better, as gain, loss or neither. */
    public function judge(float $towardBetter): Judgement
    {
        return match (true) {
            $towardBetter >= $this->value && $towardBetter > 0.0 => Judgement::Gain,
            $towardBetter <= -$this->value && $towardBetter < 0.0 => Judgement::Loss,
            default => Judgement::NoChange,
        };
    }
}
