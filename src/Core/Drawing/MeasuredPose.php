<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Joint;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Readings;

/**
 * The one place where measures become a pose. Measures have wrist extension as +, drawings wrist flexion: here the sign
 * turns. What was not measured is taken from a base pose.
 */
final class MeasuredPose
{
    /** @var array<string, list<float|int>> */
    private const HALF_OPEN = [
        'index' => [18, 24, 12, 3],
        'middle' => [22, 28, 14, 0],
        'ring' => [26, 32, 15, 2],
        'little' => [28, 34, 15, 5],
        'thumb' => [32, 24, 8, 10, 16],
    ];

    /**
     * How far the hand opens, or bends, as measured.
     *
     * @return Pose|null null when nothing of the hand was measured
     */
    public static function from(Readings $readings, Side $side, Mode $mode, bool $opening = true): ?Pose
    {
        $wrist = self::degrees(
            $readings,
            $opening ? 'wrist_extension' : 'wrist_flexion',
            $side,
            $mode,
        );
        $percent = $opening ? self::degrees($readings, 'opening', $side, $mode) : null;
        if (null !== $percent && !self::anyHinge($readings, $side, $mode)) {
            return Pose::clamped(['wrist' => -($wrist ?? 0.0), ...self::byEye($percent)]);
        }
        $angles = ['wrist' => -($wrist ?? 0.0)];
        $known = null !== $wrist;
        foreach (Digit::cases() as $digit) {
            $of = self::HALF_OPEN[$digit->value];
            foreach ($digit->hinges() as $i => $joint) {
                $value = self::hinge(
                    $readings,
                    $digit,
                    $joint,
                    $opening ? 'extension' : 'flexion',
                    side: $side,
                    mode: $mode,
                );
                $at = $i + (Digit::Thumb === $digit ? 3 : 0);
                $of = array_map(
                    static fn (
                        int $place,
                        float|int $usual,
                    ): float|int => $place === $at ? $value ?? $usual : $usual,
                    array_keys($of),
                    $of,
                );
                $known = $known || null !== $value;
            }
            $angles[$digit->value] = $of;
        }
        $abduction = $opening
            ? self::degrees($readings, 'thumb_palmar_abduction', $side, $mode)
            : null;
        if (null !== $abduction) {
            [$radial, , $opposition, $mp, $ip] = $angles['thumb'] + [0, 0, 0, 0, 0];
            $angles['thumb'] = [$radial, $abduction, $opposition, $mp, $ip];
        }

        return $known ? Pose::clamped($angles) : null;
    }

    /**
     * A hand opened by so many percent: deficits of MCP, PIP and DIP shared out as a closed hand shares them.
     *
     * @return array<string, list<float>>
     */
    private static function byEye(float $percent): array
    {
        $closed = (100.0 - $percent) / 100.0;
        $angles = [];
        foreach (Digit::fingers() as $finger) {
            $angles[$finger->value] = [
                80.0 * $closed,
                104.0 * $closed,
                62.0 * $closed,
                3.0 * (1.0 - $closed),
            ];
        }
        $angles['thumb'] = [
            40.0 - 16.0 * $closed,
            14.0 + 24.0 * $closed,
            30.0 * $closed,
            6.0 + 40.0 * $closed,
            55.0 * $closed,
        ];

        return $angles;
    }

    private static function anyHinge(Readings $readings, Side $side, Mode $mode): bool
    {
        foreach (Digit::fingers() as $digit) {
            foreach ($digit->hinges() as $joint) {
                if (
                    null !== self::hinge(
                        $readings,
                        $digit,
                        $joint,
                        'extension',
                        side: $side,
                        mode: $mode,
                    )
                ) {
                    return true;
                }
            }
        }

        return false;
    }

    private static function hinge(
        Readings $readings,
        Digit $digit,
        Joint $joint,
        string $direction,
        Side $side,
        Mode $mode,
    ): ?float {
        return self::degrees(
            $readings,
            \sprintf('%s_%s_%s', $digit->value, $joint->value, $direction),
            $side,
            $mode,
        );
    }

    private static function degrees(Readings $readings, string $code, Side $side, Mode $mode): ?float
    {
        $value = $readings->newest($code, $side, $mode)?->value;

        return \is_float($value) ? $value : null;
    }
}
