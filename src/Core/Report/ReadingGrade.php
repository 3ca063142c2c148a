<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/**
 * How many years of school a text asks for, by the Flesch-Kincaid grade (Kincaid, Fishburne, Rogers & Chissom 1975):
 * 0.39 x words a sentence + 11.8 x syllables a word - 15.59. It is one for English. Syllables are counted by groups of
 * vowels; names and numbers of more than one group count like any other word.
 */
final class ReadingGrade
{
    private const SENTENCE = 0.39;
    private const SYLLABLE = 11.8;
    private const LESS = 15.59;

    /** @return ?float null: there is no word in it */
    public static function of(string $text): ?float
    {
        $words = 0;
        $syllables = 0;
        $sentences = 0;
        $split = preg_split('/(?<=[.!?])\s+|\R+/u', trim($text));
        foreach (false === $split ? [] : $split as $sentence) {
            preg_match_all("/[\\p{L}][\\p{L}'’]*|\\d+/u", $sentence, $found);
            if ([] !== $found[0]) {
                ++$sentences;
                $words += \count($found[0]);
                $syllables += array_sum(array_map(self::syllables(...), $found[0]));
            }
        }

        return 0 === $words
            ? null
            : self::SENTENCE * $words / $sentences + self::SYLLABLE * $syllables / $words - self::LESS;
    }

    public static function syllables(string $word): int
    {
        $word = mb_strtolower($word);
        if (1 === preg_match('/^\d+$/', $word)) {
            return 1;
        }
        // silent: an e at the end that is no syllable of its own, and the e of -ed and -es after most letters
        $spoken = (string) preg_replace(
            ['/(?<=[^aeiouyl])e$/u', '/(?<=[aeiouy])le$/u', '/(?<=[^aeioutdy])ed$/u', '/(?<=[^aeiouycgxsz])es$/u'],
            ['', 'l', 'd', 's'],
            $word,
        );
        $groups = (int) preg_match_all('/[aeiouyáàâäéèêëíìîïóòôöúùûüœæ]+/u', $spoken);

        return max(1, $groups);
    }
}
