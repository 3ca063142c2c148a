<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/** What a password has to be: long, not one that many people have, and not made of its owner's name. */
final readonly class PasswordRules
{
    /** Characters. */
    public const LEAST = 12;
    public const MOST = 128;
    /** Parts of names that are shorter than this say nothing. */
    private const NAME_PART = 4;

    public function __construct(
        private CommonPasswords $common,
    ) {
    }

    /**
     * What is wrong with it; null: nothing.
     *
     * @param list<string> $names of the person and of the clinic, and the address they sign in under
     */
    public function problem(#[\SensitiveParameter] string $password, array $names): ?string
    {
        $length = mb_strlen($password);

        return match (true) {
            $length < self::LEAST => 'password.short',
            $length > self::MOST => 'password.long',
            $this->common->has($password) => 'password.common',
            self::isMadeOf($password, $names) => 'password.name',
            default => null,
        };
    }

    /**
     * Without the parts of the names too little is left.
     *
     * @param list<string> $names
     */
    private static function isMadeOf(string $password, array $names): bool
    {
        $parts = preg_split(
            '/[^\p{L}\p{N}]+/u',
            mb_strtolower(implode(' ', $names)),
            flags: \PREG_SPLIT_NO_EMPTY,
        );
        $long = array_filter(
            false === $parts ? [] : $parts,
            static fn (string $part): bool => mb_strlen($part) >= self::NAME_PART,
        );
        $rest = str_replace($long, '', mb_strtolower($password));

        return mb_strlen($rest) < mb_strlen($password) && mb_strlen($rest) < self::LEAST / 2;
    }
}
