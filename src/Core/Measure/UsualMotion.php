<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Joint;

/**
 * Usual ends of motion in degrees, drawn as a mark beside what was measured. Defaults that the clinic is to
 * check; nothing is
 * computed or decided from them. Where the other hand is unaffected, it is the better reference.
 */
final class UsualMotion
{
    public static function bentDegrees(Digit $digit, Joint $joint): float
    {
        return match (true) {
            Digit::Thumb === $digit => Joint::Mp === $joint ? 50.0 : 80.0,
            Joint::Mcp === $joint => 90.0,
            Joint::Pip === $joint => 100.0,
            default => 80.0,
        };
    }

    /** @return array{float, float} wrist as extension +: bent and lifted back */
    public static function wristDegrees(): array
    {
        return [-80.0, 70.0];
    }
}
