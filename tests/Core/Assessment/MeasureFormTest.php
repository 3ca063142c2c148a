<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Assessment;

use HandGarden\Assessment\Drafts;
use HandGarden\Assessment\MeasureForm;
use HandGarden\Assessment\TrialPlan;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Steadiness\SetUp;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeasureFormTest extends TestCase
{
    /** @return iterable<string, array{string, string, ?float}> */
    public static function good(): iterable
    {
        yield 'a number' => ['wrist_extension:right:active:-', '-10', -10.0];
        yield 'a minus as it is printed' => ['wrist_extension:right:active:-', "\u{2212}10", -10.0];
        yield 'a comma' => ['grip_kg:right:-:-', '12,5', 12.5];
        yield 'as usual is no number' => ['wrist_extension:right:active:-', 'as usual', null];
        yield 'the key for it' => ['wrist_extension:right:active:-', 'u', null];
        yield 'a grade' => ['tone_finger:right:-:-', '1+', 1.5];
        yield 'three trials: the mean' => ['grip_kg:right:-:-', '10 11 12', 11.0];
        yield 'two holds: the better' => ['wrist_ext_hold_s:right:-:-', '4 6', 6.0];
        yield 'opening by eye in tens' => ['opening:right:passive:-60', '70', 70.0];
        yield 'beyond straight' => ['index_pip_extension:left:active:-', '-15', -15.0];
    }

    #[DataProvider('good')]
    public function testReadsWhatIsTyped(string $key, string $text, ?float $value): void
    {
        $reading = $this->form()->measure($key, $text, new \DateTimeImmutable('2026-01-05'));

        self::assertInstanceOf(Reading::class, $reading);
        self::assertSame($value, $reading->value);
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function bad(): iterable
    {
        yield 'out of range' => ['wrist_extension:right:active:-', '140', '140 is outside -90..90'];
        yield 'words' => ['wrist_extension:right:active:-', 'ten', 'ten is not a number'];
        yield 'no such measure' => [
            'nose_length:right:active:-',
            '1',
            'there is no measure "nose_length:right:active:-"',
        ];
        yield 'no hand' => ['wrist_extension:-:active:-', '1', 'there is no measure'];
        yield 'no mode' => ['wrist_extension:right:-:-', '1', 'there is no measure'];
        yield 'an angle nobody measures at' => [
            'opening:right:active:17',
            '50',
            'there is no measure',
        ];
        yield 'not in tens' => ['opening:right:active:0', '45', '45 is not a step of 10'];
        yield 'a grade that is none' => ['tone_finger:right:-:-', '1.5', '1.5 is not one of'];
        yield 'two grades' => ['tone_finger:right:-:-', '1 2', 'one grade only'];
        yield 'as usual among trials' => ['grip_kg:right:-:-', '10 u', 'stands alone'];
        yield 'a trial out of range' => ['grip_kg:right:-:-', '10 999', '999 is outside'];
        yield 'too many' => ['grip_kg:right:-:-', '1 2 3 4 5 6 7 8 9 10 11 12', 'at most'];
    }

    #[DataProvider('bad')]
    public function testSaysWhatIsWrong(string $key, string $text, string $says): void
    {
        $problem = $this->form()->measure($key, $text, new \DateTimeImmutable('2026-01-05'));

        self::assertIsString($problem);
        self::assertStringContainsString($says, $problem);
    }

    public function testTheQuickAngleCannotLieBeyondTheSlowOneTypedOrKnown(): void
    {
        $day = new \DateTimeImmutable('2026-01-05');
        $read = $this->form()->read(
            ['m' => ['slow_angle:right:-:finger' => '60', 'catch_angle:right:-:finger' => '80']],
            $day,
        );
        self::assertArrayHasKey('catch_angle:right:-:finger', $read->problems);
        $known = new Readings(
            [new Reading('slow_angle', Side::Right, null, 'finger', value: 60.0, on: $day)],
        );
        self::assertNotSame(
            [],
            $this->form()->read(
                ['m' => ['catch_angle:right:-:finger' => '80']],
                $day,
                $known,
            )->problems,
        );
        self::assertSame(
            [],
            $this->form()->read(
                ['m' => ['catch_angle:left:-:finger' => '80']],
                $day,
                $known,
            )->problems,
            'the other hand is another matter',
        );
    }

    public function testNoneOfTheRestAnswersNoButNeverOverAnAnswer(): void
    {
        $read = $this->form()->read(
            ['o' => ['curls:right:-:-' => 'y'], 'none' => ['tightness:right' => '1']],
            new \DateTimeImmutable('2026-01-05'),
        );
        $all = new Readings($read->readings);

        self::assertTrue($all->newest('curls', Side::Right)?->value);
        self::assertFalse($all->newest('clamps_on_close', Side::Right)?->value);
        self::assertNull($all->newest('clamps_on_close', Side::Left));
    }

    public function testATryOutIsOneOfThreeWordsForARungThereIs(): void
    {
        $read = $this->form()->read(
            [
                't' => [
                    'helped-lift-hold:right' => 'clean',
                    'no-such-rung:right' => 'clean',
                    'close-and-open:right' => 'great',
                ],
            ],
            new \DateTimeImmutable('2026-01-05'),
        );

        self::assertCount(1, $read->readings);
        self::assertSame(['no-such-rung:right', 'close-and-open:right'], array_keys($read->problems));
    }

    public function testAFieldThatIsThereAndEmptyWasEmptiedOneThatIsNotThereStays(): void
    {
        $merged = Drafts::merged(
            ['m' => ['a' => '', 'b' => ' 12 '], 'x' => ['evil' => '1']],
            ['m' => ['a' => '1', 'c' => '3'], 'o' => ['q' => 'yes']],
        );

        self::assertSame(['m' => ['c' => '3', 'b' => '12'], 'o' => ['q' => 'yes']], $merged);
        self::assertSame([], Drafts::merged(['m' => 'nonsense', 'o' => ['a' => ['b']]], []));
        self::assertSame(
            60,
            mb_strlen(Drafts::merged(['m' => ['a' => str_repeat('9', 500)]], [])['m']['a']),
        );
    }

    public function testACapturedValueKeepsItsSourceUntilItIsTypedOver(): void
    {
        $draft = ['m' => ['a' => '41'], 's' => ['a' => 'glove:41@1000']];
        self::assertSame(Source::Glove, Drafts::source($draft, 'a'));
        self::assertNull(Drafts::source(Drafts::merged(['m' => ['a' => '42']], $draft), 'a'));
        self::assertNull(Drafts::source($draft, 'b'));
        self::assertSame(
            '41',
            Drafts::merged(['seen' => '900', 'm' => ['a' => '']], $draft)['m']['a'],
            'captured after the page was shown',
        );
        self::assertArrayNotHasKey(
            'm',
            Drafts::merged(['seen' => '1100', 'm' => ['a' => '']], $draft),
            'seen and emptied',
        );
    }

    public function testWhatCameWhileTheRestWasKeptIsLeft(): void
    {
        $kept = [
            'm' => ['a' => '41', 'b' => '7'],
            'o' => ['q' => 'yes'],
            's' => ['a' => 'glove:41@1000'],
        ];
        self::assertSame([], Drafts::without($kept, $kept));
        $meanwhile = ['m' => ['a' => '41', 'b' => '7 8', 'c' => '3']] + $kept;
        self::assertSame(['m' => ['b' => '7 8', 'c' => '3']], Drafts::without($meanwhile, $kept));
    }

    public function testTheNameOfATrialIsItsPlan(): void
    {
        $plan = TrialPlan::from(42, 3, [SetUp::Support, SetUp::Unsupported, SetUp::Exhale]);
        self::assertNotNull($plan);
        self::assertSame('trial-42-3-support+exhale', $plan->name());
        self::assertEquals($plan, TrialPlan::parse($plan->name()));
        self::assertCount(9, $plan->order());
        foreach (
            [
                '',
                'trial-1-3-',
                'trial-1-2-support',
                'trial-1-9-support',
                'trial-1-3-magic',
                'trial-1-3-unsupported',
                "trial-1-3-support'",
            ] as $name
        ) {
            self::assertNull(TrialPlan::parse($name), $name);
        }
    }

    private function form(): MeasureForm
    {
        return new MeasureForm(Cases::catalogue());
    }
}
