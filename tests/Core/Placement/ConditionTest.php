<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Placement;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Condition\ConditionParser;
use HandGarden\Core\Condition\FactSource;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Condition\UnreadableCondition;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ConditionTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function judged(): iterable
    {
        yield 'a yes' => ['yes_fact', 'true'];
        yield 'a no' => ['no_fact', 'false'];
        yield 'never asked' => ['nobody_knows', 'unknown'];
        yield 'not of unknown' => ['not nobody_knows', 'unknown'];
        yield 'and: one false decides' => ['nobody_knows and no_fact', 'false'];
        yield 'and: unknown without a false' => ['nobody_knows and yes_fact', 'unknown'];
        yield 'or: one true decides' => ['nobody_knows or yes_fact', 'true'];
        yield 'or: unknown without a true' => ['nobody_knows or no_fact', 'unknown'];
        yield 'and binds tighter than or' => ['yes_fact or yes_fact and no_fact', 'true'];
        yield 'brackets' => ['(yes_fact or yes_fact) and no_fact', 'false'];
        yield 'at least' => ['five>=5', 'true'];
        yield 'under' => ['five<5', 'false'];
        yield 'negative' => ['five>=-20', 'true'];
        yield 'grades: 1 is below 1+' => ['grade_one>=1+', 'false'];
        yield 'grades: 1+ is below 2' => ['grade_one_plus>=2', 'false'];
        yield 'grades: 1+ is 1+' => ['grade_one_plus>=1+', 'true'];
        yield 'both: the lower counts' => ['both.right_only', 'false'];
        yield 'other' => ['other.right_only', 'false'];
        yield 'a word' => ['word(thing)=clean', 'true'];
        yield 'none compares as false' => ['none_number>=0', 'false'];
        yield 'a number without comparison says nothing' => ['five', 'unknown'];
    }

    #[DataProvider('judged')]
    public function testIsJudgedInThreeValues(string $text, string $expected): void
    {
        self::assertSame(
            Truth::from($expected),
            (new ConditionParser())->parse($text)->judge(self::facts(), Side::Right)->truth,
        );
    }

    /** @return iterable<string, array{string, string}> */
    public static function unreadable(): iterable
    {
        yield 'open bracket' => ['(a or b', '")"'];
        yield 'two atoms side by side' => ['a b', '"and", "or" or the end'];
        yield 'nothing' => ['', 'an atom'];
        yield 'an operator alone' => ['and', 'an atom'];
        yield 'a strange sign' => ['a >> 3', '"and", "or" or the end'];
    }

    #[DataProvider('unreadable')]
    public function testABrokenConditionSaysWhere(string $text, string $expected): void
    {
        $this->expectException(UnreadableCondition::class);
        $this->expectExceptionMessage($expected);
        (new ConditionParser())->parse($text);
    }

    public function testAWordOutsideTheVocabularyIsRefused(): void
    {
        $this->expectExceptionMessage('uses the code "wirst_moves"');
        (new ConditionParser(['wrist_moves']))->parse('wirst_moves');
    }

    public function testWhatIsParsedIsWrittenTheSameWay(): void
    {
        foreach (
            [
                'not thumb_trapped or finger_gap',
                'hand_on_table and wrist_ext_passive_deg>=10 and (wrist_back_on_edge or wrist_ext_hold_s>=1)',
                'not (a or b)',
                'opening_active_pct(-60)>=10',
                'both.opposition_0to10>=6',
            ] as $text
        ) {
            self::assertSame($text, (string) (new ConditionParser())->parse($text));
        }
    }

    private static function facts(): FactSource
    {
        return new class implements FactSource {
            public function value(string $code, ?string $argument, Side $side): float|bool|string|null
            {
                return match ($code) {
                    'yes_fact' => true,
                    'no_fact' => false,
                    'five' => 5.0,
                    'grade_one' => 1.0,
                    'grade_one_plus' => 1.5,
                    'right_only' => Side::Right === $side,
                    'word' => 'clean',
                    'none_number' => \NAN,
                    default => null,
                };
            }

            public function writingHand(): Side
            {
                return Side::Right;
            }

            public function steadierHand(): Side
            {
                return Side::Left;
            }

            public function isSided(string $code): bool
            {
                return true;
            }
        };
    }
}
