<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

enum Comparison: string
{
    case AtLeast = '>=';
    case AtMost = '<=';
    case Less = '<';
    case Greater = '>';
    case Equal = '=';

    /** Comparisons with NAN ('none') are false. */
    public function holds(float|string $found, float|string $wanted): bool
    {
        if (\is_string($found) || \is_string($wanted)) {
            return self::Equal === $this && $found === $wanted;
        }

        return match ($this) {
            self::AtLeast => $found >= $wanted,
            self::AtMost => $found <= $wanted,
            self::Less => $found < $wanted,
            self::Greater => $found > $wanted,
            self::Equal => abs($found - $wanted) < 1e-9,
        };
    }
}
