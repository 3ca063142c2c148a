<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/** Bytes as letters and digits that can be read out and typed. RFC 4648, section 6, without padding. */
final class Base32
{
    private const ALPHABET = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ234567';

    public static function encode(string $bytes): string
    {
        $bits = '';
        foreach (str_split($bytes) as $byte) {
            $bits .= str_pad(decbin(\ord($byte)), 8, '0', \STR_PAD_LEFT);
        }
        $letters = '';
        foreach (str_split($bits, 5) as $five) {
            $letters .= self::ALPHABET[(int) bindec(str_pad($five, 5, '0'))];
        }

        return $letters;
    }

    /** What somebody typed: small letters, spaces and hyphens do no harm; null: it is none. */
    public static function decode(string $typed): ?string
    {
        $letters = strtoupper((string) preg_replace('/[\s-]/', '', $typed));
        if (1 !== preg_match('/^[A-Z2-7]+$/D', $letters)) {
            return null;
        }
        $bits = '';
        foreach (str_split($letters) as $letter) {
            $bits .= str_pad(decbin((int) strpos(self::ALPHABET, $letter)), 5, '0', \STR_PAD_LEFT);
        }
        $bytes = '';
        foreach (str_split(substr($bits, 0, \strlen($bits) - \strlen($bits) % 8), 8) as $eight) {
            $bytes .= \chr((int) bindec($eight));
        }

        return $bytes;
    }
}
