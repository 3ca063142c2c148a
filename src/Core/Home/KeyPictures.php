<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

/**
 * Three small pictures made of the key of a device, so that two people who look at two screens see whether both mean
 * the same device.
 */
final readonly class KeyPictures
{
    public const NAMES = [
        'sun',
        'moon',
        'star',
        'tree',
        'house',
        'boat',
        'fish',
        'key',
        'cup',
        'bell',
        'heart',
        'leaf',
        'umbrella',
        'hat',
        'apple',
        'cloud',
    ];

    /**
     * @param string $keyHash SHA-256 of the key, in hex
     *
     * @return array{string, string, string}
     */
    public static function of(string $keyHash): array
    {
        return [
            self::NAMES[(int) hexdec($keyHash[0] ?? '0')],
            self::NAMES[(int) hexdec($keyHash[1] ?? '0')],
            self::NAMES[(int) hexdec($keyHash[2] ?? '0')],
        ];
    }
}
