<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;

/** How far the hand opens, in percent, active or passive, and at which wrist angle the flexors let go. */
final readonly class Opening
{
    /**
     * Sum of the deficits of MCP, PIP and DIP that counts as fully closed; a constant, never the client's own
     * flexion.
     */
    public const CLOSED_DEGREES = 270.0;

    /** Opening that is enough to get round an object; a default that no page sets yet. */
    public const FUNCTIONAL_PERCENT = 40.0;

    public static function fromDeficits(float $sumDegrees): float
    {
        return max(0.0, min(100.0, 100.0 * (1.0 - $sumDegrees / self::CLOSED_DEGREES)));
    }

    /**
     * Opening of the hand with the wrist as it rests: mean of the four fingers, all four needed; else by eye in
     * tens.
     */
    public static function ofHand(Readings $readings, Side $side, Mode $mode): ?Reading
    {
        $sum = 0.0;
        $on = null;
        foreach (Digit::fingers() as $digit) {
            $opening = FingerMotion::from($readings, $side, $digit, $mode)->openingPercent;
            if (null === $opening) {
                return $readings->newest('opening', $side, $mode);
            }
            $sum += $opening;
            foreach ($digit->hinges() as $joint) {
                $day = $readings->newest(
                    \sprintf('%s_%s_extension', $digit->value, $joint->value),
                    $side,
                    $mode,
                )?->on;
                $on = null === $on || (null !== $day && $day < $on) ? $day : $on; // no newer than its oldest part
            }
        }
        $byEye = $readings->newest('opening', $side, $mode);
        if (null === $on || (null !== $byEye && $byEye->on > $on)) {
            return $byEye;
        }

        return new Reading('opening', $side, $mode, null, value: $sum / 4.0, on: $on);
    }

    /**
     * Wrist angle at which the opening reaches the threshold, walking from the most extended measured angle down.
     *
     * @param array<int, float> $percentByWristDegrees opening per wrist angle, extension +; angles not reached
     *     are missing
     *
     * @return float|null degrees; NAN when every measured angle stays below; null when fewer than two were measured
     */
    public static function releaseAngle(
        array $percentByWristDegrees,
        float $thresholdPercent = self::FUNCTIONAL_PERCENT,
    ): ?float {
        if (\count($percentByWristDegrees) < 2) {
            return null;
        }
        krsort($percentByWristDegrees);
        $high = null;
        foreach ($percentByWristDegrees as $angle => $percent) {
            if ($percent >= $thresholdPercent) {
                if (null === $high) {
                    return (float) $angle; // met at the most extended angle already
                }

                return $angle + ($percent - $thresholdPercent) / (
                    $percent - $percentByWristDegrees[$high]
                ) * ($high - $angle);
            }
            $high = $angle;
        }

        return \NAN;
    }
}
