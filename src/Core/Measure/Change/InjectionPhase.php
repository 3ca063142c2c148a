<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

/** Where a day lies against the last tone injection. */
enum InjectionPhase: string
{
    case Before = 'before';
    case Rising = 'first two weeks';
    case Working = 'weeks 3 to 6';
    case Fading = 'weeks 7 to 12';
    case Over = 'over';

    public static function at(\DateTimeImmutable $injectedOn, \DateTimeImmutable $day): self
    {
        $days = (int) $injectedOn->diff($day)->format('%r%a');

        return match (true) {
            $days < 0 => self::Before,
            $days <= 14 => self::Rising,
            $days <= 42 => self::Working,
            $days <= 84 => self::Fading,
            default => self::Over,
        };
    }

    /** Weeks after the injection in which the hand is measured again. */
    public const REMEASURE_WEEKS = [2, 6, 12];
}
