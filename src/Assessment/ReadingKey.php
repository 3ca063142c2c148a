<?php

declare(strict_types=1);

namespace HandGarden\Assessment;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;

/** The name of a field for a reading: code, side, mode and argument, with dashes for what does not apply. */
final class ReadingKey
{
    public static function for(string $code, ?Side $side, ?Mode $mode, ?string $argument): string
    {
        return implode(':', [$code, $side->value ?? '-', $mode->value ?? '-', $argument ?? '-']);
    }

    /** @return array{string, ?Side, ?Mode, ?string}|null null when it is no such name */
    public static function parse(string $key): ?array
    {
        $parts = explode(':', $key);
        if (4 !== \count($parts)) {
            return null;
        }

        return [
            $parts[0],
            Side::tryFrom($parts[1]),
            Mode::tryFrom($parts[2]),
            '-' === $parts[3] ? null : $parts[3],
        ];
    }
}
