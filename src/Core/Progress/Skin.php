<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** How the skin looks, best first. */
enum Skin: string
{
    case Fine = 'fine';
    case Red = 'red';
    case Mark = 'mark';
    case Broken = 'broken';

    public static function worse(?self $one, ?self $other): ?self
    {
        $rank = static fn (?self $skin): int => null === $skin
            ? -1
            : (int) array_search($skin, self::cases(), true);

        return $rank($one) >= $rank($other) ? $one : $other;
    }
}
