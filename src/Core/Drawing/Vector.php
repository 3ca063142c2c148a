<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/**
 * Arithmetic of places and directions, in millimetres. Plain arrays, because a picture needs some hundred
 * thousand of them.
 *
 * @phpstan-type Vec array{float, float, float}
 */
final class Vector
{
    /**
     * @param Vec $a
     * @param Vec $b
     *
     * @return Vec
     */
    public static function add(array $a, array $b): array
    {
        return [$a[0] + $b[0], $a[1] + $b[1], $a[2] + $b[2]];
    }

    /**
     * @param Vec $a
     * @param Vec $b
     *
     * @return Vec
     */
    public static function sub(array $a, array $b): array
    {
        return [$a[0] - $b[0], $a[1] - $b[1], $a[2] - $b[2]];
    }

    /**
     * @param Vec $a
     *
     * @return Vec
     */
    public static function times(array $a, float $k): array
    {
        return [$a[0] * $k, $a[1] * $k, $a[2] * $k];
    }

    /**
     * @param Vec $a
     * @param Vec $b
     */
    public static function dot(array $a, array $b): float
    {
        return $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    }

    /**
     * @param Vec $a
     * @param Vec $b
     *
     * @return Vec
     */
    public static function cross(array $a, array $b): array
    {
        return [
            $a[1] * $b[2] - $a[2] * $b[1],
            $a[2] * $b[0] - $a[0] * $b[2],
            $a[0] * $b[1] - $a[1] * $b[0],
        ];
    }

    /** @param Vec $a */
    public static function length(array $a): float
    {
        return sqrt(self::dot($a, $a));
    }

    /**
     * @param Vec $a
     *
     * @return Vec
     */
    public static function unit(array $a): array
    {
        return self::times($a, 1 / max(1e-9, self::length($a)));
    }

    /**
     * @param Vec $a
     * @param Vec $b
     *
     * @return Vec
     */
    public static function mix(array $a, array $b, float $t): array
    {
        return self::add(self::times($a, 1 - $t), self::times($b, $t));
    }
}
