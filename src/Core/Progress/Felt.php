<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** How hard it felt to the one who did it. */
enum Felt: string
{
    case TooEasy = 'too-easy';
    case Right = 'right';
    case TooHard = 'too-hard';

    /** Of two words on the same item the one that asks for less. */
    public static function harder(?self $a, ?self $b): ?self
    {
        return match (true) {
            self::TooHard === $a || self::TooHard === $b => self::TooHard,
            self::Right === $a || self::Right === $b => self::Right,
            default => $a ?? $b,
        };
    }
}
