<?php

declare(strict_types=1);

namespace HandGarden\Account\Proof;

/**
 * Passwords that many people have, as the shipped list knows them (docs/security.md says where it comes from).
 *
 * The file holds six bytes of the SHA-256 of each, sorted, so that a word is found by halving.
 */
final readonly class CommonPasswords
{
    private const BYTES = 6;

    public function __construct(
        private string $commonPasswordsFile,
    ) {
    }

    /** Also where one is written twice, or with a number or signs behind it. */
    public function has(#[\SensitiveParameter] string $password): bool
    {
        $word = mb_strtolower($password);
        $bare = (string) preg_replace('/[^\p{L}]+$/u', '', $word);
        foreach (array_unique([$word, $bare, self::once($word), self::once($bare)]) as $form) {
            if ('' !== $form && $this->lists($form)) {
                return true;
            }
        }

        return false;
    }

    public function count(): int
    {
        return intdiv((int) filesize($this->commonPasswordsFile), self::BYTES);
    }

    /** A word that is written several times, once. */
    private static function once(string $word): string
    {
        return (string) preg_replace('/^(.+?)\1+$/us', '$1', $word);
    }

    private function lists(string $word): bool
    {
        $sought = substr(hash('sha256', $word, binary: true), 0, self::BYTES);
        $all = (string) file_get_contents($this->commonPasswordsFile);
        $low = 0;
        $high = $this->count() - 1;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $order = substr($all, $middle * self::BYTES, self::BYTES) <=> $sought;
            if (0 === $order) {
                return true;
            }
            $order < 0 ? $low = $middle + 1 : $high = $middle - 1;
        }

        return false;
    }
}
