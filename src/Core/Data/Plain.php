<?php

declare(strict_types=1);

namespace HandGarden\Core\Data;

/** What may come in from outside at all: text that is text, numbers that are numbers, not too deep. */
final class Plain
{
    private const MOST_DEPTH = 32;

    /** @return ?string what is wrong; null when nothing is */
    public static function problem(mixed $data, int $depth = 0): ?string
    {
        if (\is_string($data)) {
            return match (true) {
                str_contains($data, "\0") => 'holds a zero byte',
                !mb_check_encoding($data, 'UTF-8') => 'holds letters that are not written in UTF-8',
                default => null,
            };
        }
        if (\is_float($data)) {
            return is_finite($data) ? null : 'holds a number that is too large';
        }
        if (!\is_array($data)) {
            return null;
        }
        if ($depth >= self::MOST_DEPTH) {
            return 'is nested too deeply';
        }
        foreach ($data as $key => $part) {
            $problem = self::problem($key, $depth + 1) ?? self::problem($part, $depth + 1);
            if (null !== $problem) {
                return $problem;
            }
        }

        return null;
    }
}
