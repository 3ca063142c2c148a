<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\CoreError;

final class InvalidDose extends \DomainException implements CoreError
{
    public static function notDoable(string $what): self
    {
        return new self(
            \sprintf(
                'Expected 1 set, 1 repetition and 1 part or more, and no negative time or load, got %s.',
                $what,
            ),
        );
    }

    public static function longerThanScreeningAllows(string $name, int $seconds): self
    {
        return new self(
            \sprintf('%s: screening allows holds of %d s at most here.', $name, $seconds),
        );
    }

    public static function outside(
        string $field,
        int|float $value,
        int|float $min,
        int|float $max,
        string $rungId,
    ): self {
        return new self(
            \sprintf('%s of %s: %s is outside %s..%s.', ucfirst($field), $rungId, $value, $min, $max),
        );
    }
}
