<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/** Codes on paper for the day on which the device with the second factor is not there; each counts once. */
final class RecoveryCodes
{
    public const COUNT = 10;
    private const BYTES = 10;

    /** @return list<string> as they are written down: four groups of four */
    public static function make(): array
    {
        return array_map(
            static fn (): string => implode('-', str_split(Base32::encode(random_bytes(self::BYTES)), 4)),
            range(1, self::COUNT),
        );
    }

    /** Eighty random bits need no slow hash. */
    public static function hash(#[\SensitiveParameter] string $typed): string
    {
        return hash('sha256', strtoupper((string) preg_replace('/[\s-]/', '', $typed)));
    }
}
