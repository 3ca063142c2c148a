<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

/** Why words that somebody adds do not go into a report. */
enum UnfitWords: string
{
    /** Somebody is blamed. */
    case Blame = 'blame';
    /** What is to come is foretold. */
    case Forecast = 'forecast';
    /** So many percent of recovery. */
    case Percent = 'percent';
    /** Something is called better, and no measure of this time is by more than its error. */
    case NotShown = 'not-shown';

    /**
     * @param array<string, string> $words  beginnings of words for each, between bars, in the language of the text
     * @param bool                  $isGain something has become better by more than its error
     */
    public static function in(string $text, array $words, bool $isGain): ?self
    {
        foreach (self::cases() as $case) {
            $beginnings = array_map(
                static fn (string $w): string => preg_quote($w, '/'),
                explode('|', $words[$case->value] ?? ''),
            );
            $isThere = [''] !== $beginnings
                && 1 === preg_match('/(?<!\p{L})(?:'.implode('|', $beginnings).')/iu', $text);
            if ($isThere && !($isGain && self::NotShown === $case)) {
                return $case;
            }
        }

        return null;
    }
}
