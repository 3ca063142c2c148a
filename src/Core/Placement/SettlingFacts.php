<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Condition\FactSource;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Readings;

/**
 * What may say that an exercise lies behind a hand: an opening taken by eye has to be well above the line, and what was
 * measured before a tone injection says nothing.
 */
final readonly class SettlingFacts implements FactSource
{
    /** Percent points by which an eye may be wrong. */
    private const BY_EYE = 20.0;
    private const OPENINGS = ['opening_active_pct' => Mode::Active, 'opening_passive_pct' => Mode::Passive];

    public function __construct(
        private KnownFacts $known,
        private Readings $readings,
    ) {
    }

    public function value(
        string $code,
        ?string $argument,
        Side $side,
    ): float|bool|string|null {
        $value = $this->known->value($code, $argument, $side);
        $mode = self::OPENINGS[$code] ?? null;
        if ('release_angle_deg' === $code) {
            return null; // it is drawn through openings that were taken by eye
        }

        return \is_float($value) && null !== $mode && $this->isByEye($argument, $side, $mode)
            ? $value - self::BY_EYE
            : $value;
    }

    private function isByEye(?string $wristAngle, Side $side, Mode $mode): bool
    {
        return null !== $wristAngle
            || Opening::ofHand($this->readings, $side, $mode) === $this->readings->newest(
                'opening',
                $side,
                $mode,
            );
    }

    public function writingHand(): Side
    {
        return $this->known->writingHand();
    }

    public function steadierHand(): Side
    {
        return $this->known->steadierHand();
    }

    public function isSided(string $code): bool
    {
        return $this->known->isSided($code);
    }
}
