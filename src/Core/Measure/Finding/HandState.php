<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\FingerMotion;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\ToneGroup;

/** What the findings ask about one hand, read from its measures. */
final readonly class HandState
{
    public const WRIST_ANGLES = [30, 0, -30, -60];
    private const FLEXED = [-60, -30];

    public function __construct(
        public Readings $readings,
        public Side $side,
    ) {
    }

    /** Opening with the wrist as it rests, in percent. */
    public function opening(Mode $mode): ?float
    {
        $value = Opening::ofHand($this->readings, $this->side, $mode)?->value;

        return \is_float($value) ? $value : null;
    }

    /**
     * @return array<int, float> opening by wrist angle in degrees, most extended first; what the wrist cannot reach
     *    is missing
     */
    public function curve(Mode $mode): array
    {
        $curve = [];
        foreach (self::WRIST_ANGLES as $angle) {
            $value = $this->readings->newest('opening', $this->side, $mode, (string) $angle)?->value;
            if (\is_float($value)) {
                $curve[$angle] = $value;
            }
        }

        return $curve;
    }

    /**
     * What a bent wrist adds: the best opening at -60 or -30 less the one at 0, or at the most extended angle that was
     * reached above them.
     *
     * @return array{points: float, best: float, bestAt: int, plain: float, plainAt: int}|null
     */
    public function gain(Mode $mode): ?array
    {
        $curve = $this->curve($mode);
        $flexed = array_intersect_key($curve, array_flip(self::FLEXED));
        if ([] === $flexed) {
            return null;
        }
        $bestAt = (int) array_search(max($flexed), $flexed, true);
        $plainAt = isset($curve[0]) ? 0 : array_key_first($curve);
        if (null === $plainAt || $plainAt <= $bestAt) {
            return null;
        }

        return [
            'points' => $curve[$bestAt] - $curve[$plainAt],
            'best' => $curve[$bestAt],
            'bestAt' => $bestAt,
            'plain' => $curve[$plainAt],
            'plainAt' => $plainAt,
        ];
    }

    /** Mean lag over the joints of the four fingers that were measured both ways; null when none was. */
    public function meanLagDegrees(): ?float
    {
        $lags = [];
        foreach (Digit::fingers() as $digit) {
            foreach (
                FingerMotion::from(
                    $this->readings,
                    $this->side,
                    $digit,
                    Mode::Active,
                )->lagDegrees as $lag
            ) {
                if (null !== $lag) {
                    $lags[] = $lag;
                }
            }
        }

        return [] === $lags ? null : array_sum($lags) / \count($lags);
    }

    public function number(string $code, ?string $argument = null): ?float
    {
        $value = $this->readings->newest($code, $this->side, null, $argument)?->value;

        return \is_float($value) ? $value : null;
    }

    public function answer(string $code, ?string $part = null): ?bool
    {
        $value = $this->readings->newest($code, $this->side, null, $part)?->value;

        return \is_bool($value) ? $value : null;
    }

    /** R2 - R1, degrees; null when one is missing. */
    public function spread(ToneGroup $group): ?float
    {
        $slow = $this->number('slow_angle', $group->value);
        $catch = $this->number('catch_angle', $group->value);

        return null === $slow || null === $catch ? null : $slow - $catch;
    }
}
