<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Report;

use HandGarden\Core\Report\ReadingGrade;
use HandGarden\Core\Report\UnfitWords;
use PHPUnit\Framework\TestCase;

/** How hard a text is to read, and what no report takes. */
final class ReadingGradeTest extends TestCase
{
    public function testIsTheFormulaOnCountedWords(): void
    {
        // two sentences, nine words, nine syllables: 0.39 x 4.5 + 11.8 x 1 - 15.59
        self::assertEqualsWithDelta(
            -2.035,
            ReadingGrade::of('Your hand is warm. Hold it for a while.'),
            1e-9,
        );
        self::assertNull(ReadingGrade::of('…'));
    }

    public function testSyllablesAreThoseOfASpokenWord(): void
    {
        foreach (
            ['hand' => 1, 'measured' => 2, 'opened' => 2, 'table' => 2, 'sitting' => 2, 'November' => 3, 'moves' => 1,
                'fingers' => 2, 'exercises' => 4, 'clearly' => 2, '112' => 1, 'wanted' => 2] as $word => $syllables
        ) {
            self::assertSame($syllables, ReadingGrade::syllables((string) $word), (string) $word);
        }
    }

    public function testLongSentencesOfLongWordsAreHarder(): void
    {
        $easy = 'Your hand opens wider. You did it.';
        $hard = 'Considerable amelioration of volitional metacarpophalangeal extension was demonstrated bilaterally.';
        self::assertLessThan(6.0, ReadingGrade::of($easy));
        self::assertGreaterThan(12.0, ReadingGrade::of($hard));
    }

    public function testBetterIsSaidWhereItIsMeasuredAndBlameNever(): void
    {
        $words = [
            'blame' => 'lazy|non-compli',
            'forecast' => 'will recover',
            'percent' => '% recover',
            'not-shown' => 'improv',
        ];
        $in = static fn (string $text, bool $isGain): ?UnfitWords => UnfitWords::in($text, $words, $isGain);

        self::assertSame(UnfitWords::NotShown, $in('Her grip Improved.', false));
        self::assertNull($in('Her grip improved.', true));
        self::assertSame(UnfitWords::Blame, $in('Non-compliant at home.', true));
        self::assertSame(UnfitWords::Forecast, $in('He will recover.', true));
        self::assertSame(UnfitWords::Percent, $in('She is 60 % recovered.', true));
        self::assertNull($in('A glazy cup.', false), 'a beginning of a word, not its middle');
    }
}
