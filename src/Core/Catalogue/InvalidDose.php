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

    public static function noChallenge(string $code): self
    {
        return new self(\sprintf('"%s" makes nothing harder.', $code));
    }

    public static function noLevel(Challenge $challenge, string $level): self
    {
        return new self(\sprintf('"%s" is no level of %s.', $level, $challenge->value));
    }

    /** @param list<int|float|string> $levels that there are */
    public static function otherLevels(Challenge $challenge, int|float|string $level, array $levels): self
    {
        return new self(
            \sprintf(
                '%s: %s is no level of this exercise, which has %s.',
                ucfirst($challenge->value),
                $level,
                [] === $levels ? 'none' : implode(', ', $levels),
            ),
        );
    }
}
