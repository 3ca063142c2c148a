<?php

declare(strict_types=1);

namespace HandGarden\Core\Home;

/** The code that lets a device in: eight signs without those that are read one for another. */
final readonly class LetInCode
{
    public const SIGNS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';
    public const LENGTH = 8;
    public const MINUTES = 10;
    private const HALF = 4;

    private function __construct(
        public string $signs,
    ) {
    }

    /** @param \Closure(int, int): int $random a number from one to another */
    public static function made(\Closure $random): self
    {
        $signs = '';
        for ($n = 0; $n < self::LENGTH; ++$n) {
            $signs .= self::SIGNS[$random(0, \strlen(self::SIGNS) - 1)];
        }

        return new self($signs);
    }

    /** As somebody typed it, with whatever they put between; null: it cannot be one. */
    public static function typed(string $text): ?self
    {
        $signs = strtoupper((string) preg_replace('/[^0-9A-Za-z]/', '', $text));

        return self::LENGTH === \strlen($signs) && self::LENGTH === strspn($signs, self::SIGNS)
            ? new self($signs)
            : null;
    }

    /** As it is shown: in two halves. */
    public function words(): string
    {
        return implode(' ', str_split($this->signs, self::HALF));
    }
}
