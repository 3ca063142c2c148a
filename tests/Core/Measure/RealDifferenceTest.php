<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\Comparison;
use HandGarden\Core\Measure\Change\InjectionPhase;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Measure\Change\RealDifference;
use HandGarden\Core\Measure\Change\Repeats;
use HandGarden\Core\Measure\Change\Terms;
use HandGarden\Core\Measure\MeasureKind;
use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Position;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Taken;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class RealDifferenceTest extends TestCase
{
    public function testUnchangedClientsAreSeldomSaidToGain(): void
    {
        $noise = new Noise(31);
        $kind = self::kind('pegs_s');
        foreach (
            ['three days of three trials' => 3, 'six days of three trials' => 6] as $name => $days
        ) {
            $gains = 0;
            for ($client = 0; $client < 5000; ++$client) {
                $byDay = [];
                for ($day = 0; $day < $days; ++$day) {
                    $byDay[] = [2.0 * $noise->gauss(), 2.0 * $noise->gauss(), 2.0 * $noise->gauss()];
                }
                $srd = RealDifference::from($kind, Repeats::from($byDay), true, false);
                self::assertNotNull($srd);
                $gains += Judgement::Gain === $srd->judge(
                    2.0 * $noise->gauss() - 2.0 * $noise->gauss(),
                )
                    ? 1
                    : 0;
            }
            self::assertLessThanOrEqual(0.06 * 5000, $gains, $name);
            self::assertGreaterThan(0, $gains);
        }
    }

    #[DataProvider('defaults')]
    public function testDefaultsUntilRepeatsSayMore(
        string $code,
        bool $sameTester,
        bool $byEye,
        int $readings,
        ?float $expected,
    ): void {
        $srd = RealDifference::from(
            self::kind($code),
            Repeats::from([]),
            $sameTester,
            $byEye,
            readings: $readings,
        );
        null === $expected
            ? self::assertNull($srd)
            : self::assertEqualsWithDelta($expected, $srd->value ?? 0.0, 0.3);
    }

    /** @return iterable<array{string, bool, bool, int, ?float}> */
    public static function defaults(): iterable
    {
        yield ['index_pip_extension', true, false, 1, 5.0];
        yield ['index_pip_extension', false, false, 1, 10.0];
        yield ['index_pip_extension', true, false, 6, 12.0]; // total active motion of a finger
        yield ['opening', true, false, 1, 10.0];
        yield ['opening', true, true, 1, 20.0];
        yield ['tone_finger', true, false, 1, 1.0];
        yield ['opposition_0to10', true, false, 1, 2.0];
        yield ['grip_kg', true, false, 1, null];
    }

    public function testOwnErrorIsNeverTakenForLessThanTheDefault(): void
    {
        $close = Repeats::from([[10.0, 10.1, 10.0], [20.0, 20.0, 20.1], [15.0, 15.1, 15.0]]);
        self::assertTrue($close->areEnough());
        self::assertSame(
            5.0,
            RealDifference::from(self::kind('index_pip_extension'), $close, true, false)?->value,
        );
        $wide = Repeats::from([[10.0, 20.0, 0.0], [20.0, 30.0, 10.0], [15.0, 25.0, 5.0]]);
        self::assertEqualsWithDelta(
            1.96 * \M_SQRT2 * 10.0,
            RealDifference::from(self::kind('index_pip_extension'), $wide, true, false)->value ?? 0.0,
            1e-9,
        );
    }

    public function testRepeatsOfOneDayOrTooFewAreNotEnough(): void
    {
        self::assertFalse(
            Repeats::from([[1.0, 2.0, 3.0, 4.0, 5.0, 6.0, 7.0, 8.0]])->areEnough(),
            'one day',
        );
        self::assertFalse(
            Repeats::from([[1.0, 2.0, 3.0], [1.0, 2.0, 3.0]])->areEnough(),
            'four degrees of freedom',
        );
        self::assertTrue(Repeats::from([[1.0, 2.0, 3.0, 4.0], [1.0, 2.0, 3.0, 4.0]])->areEnough());
    }

    public function testLowerIsBetterWhereItIs(): void
    {
        $older = self::reading('index_pip_extension', 40.0, '2026-10-01');
        $newer = self::reading('index_pip_extension', 30.0, '2026-11-01');
        self::assertSame(
            Judgement::Gain,
            Comparison::from(self::kind('index_pip_extension'), $older, $newer, [])->judgement,
            'stops less short of straight',
        );
        self::assertSame(
            Judgement::Loss,
            Comparison::from(self::kind('index_pip_extension'), $newer, $older, [])->judgement,
        );
        self::assertSame(
            Judgement::NoChange,
            Comparison::from(
                self::kind('index_pip_extension'),
                $older,
                self::reading('index_pip_extension', 36.0, '2026-11-01'),
                [],
            )->judgement,
        );
    }

    public function testOnlyTheSameCircumstancesAreCompared(): void
    {
        $kind = self::kind('wrist_extension');
        $plain = self::reading('wrist_extension', 10.0, '2026-10-01', new Taken('a'));
        foreach ([
            new Taken('a', Position::Lying),
            new Taken('a', source: Source::Glove),
        ] as $other) {
            self::assertSame(
                Judgement::NotComparable,
                Comparison::from(
                    $kind,
                    $plain,
                    self::reading('wrist_extension', 40.0, '2026-11-01', $other),
                    [],
                )->judgement,
            );
        }
        $on = self::reading(
            'wrist_extension',
            10.0,
            '2026-10-01',
            new Taken('a', medication: MedicationState::On),
        );
        $off = self::reading(
            'wrist_extension',
            40.0,
            '2026-11-01',
            new Taken('a', medication: MedicationState::Off),
        );
        self::assertSame(
            'once on, once off medicine',
            Said::of(Comparison::from($kind, $on, $off, [])->why),
        );
        $injected = new \DateTimeImmutable('2026-10-15');
        self::assertSame(
            Judgement::NotComparable,
            Comparison::from(
                $kind,
                $plain,
                self::reading('wrist_extension', 40.0, '2026-11-01', new Taken('a')),
                [],
                terms: new Terms($injected),
            )->judgement,
            'never called a training effect',
        );
        self::assertSame(
            Judgement::NoChange,
            Comparison::from(
                $kind,
                $plain,
                self::reading('wrist_extension', 19.0, '2026-10-10', new Taken('b')),
                [],
            )->judgement,
            'two testers differ by more',
        );
        self::assertSame(
            Judgement::Gain,
            Comparison::from(
                $kind,
                $plain,
                self::reading('wrist_extension', 19.0, '2026-10-10', new Taken('a')),
                [],
            )->judgement,
        );
    }

    public function testAsUsualIsNoNumberToCompare(): void
    {
        $usual = new Reading(
            'wrist_extension',
            Side::Right,
            Mode::Active,
            null,
            value: null,
            on: new \DateTimeImmutable('2026-11-01'),
        );
        self::assertSame(
            Judgement::NotComparable,
            Comparison::from(
                self::kind('wrist_extension'),
                $usual,
                self::reading('wrist_extension', 40.0, '2026-11-01'),
                [],
            )->judgement,
        );
    }

    public function testMeasuresWithoutADefaultAskForRepeats(): void
    {
        $older = self::reading('grip_kg', 4.0, '2026-10-01');
        $newer = self::reading('grip_kg', 14.0, '2026-11-01');
        self::assertSame(
            Judgement::NeedsRepeats,
            Comparison::from(self::kind('grip_kg'), $older, $newer, [])->judgement,
        );
        $history = [];
        foreach (['2026-10-01', '2026-10-08', '2026-10-15'] as $day) {
            $history[] = self::reading('grip_kg', 4.0, $day, new Taken('a', trials: [3.5, 4.0, 4.5]));
        }
        self::assertSame(
            Judgement::Gain,
            Comparison::from(self::kind('grip_kg'), $older, $newer, $history)->judgement,
        );
    }

    public function testPhasesOfAnInjection(): void
    {
        $day = new \DateTimeImmutable('2026-06-01');
        $phases = array_map(
            static fn (int $days): InjectionPhase => InjectionPhase::at(
                $day,
                $day->modify($days.' days'),
            ),
            [-1, 0, 14, 15, 42, 43, 84, 85],
        );
        self::assertSame(
            [
                InjectionPhase::Before,
                InjectionPhase::Rising,
                InjectionPhase::Rising,
                InjectionPhase::Working,
                InjectionPhase::Working,
                InjectionPhase::Fading,
                InjectionPhase::Fading,
                InjectionPhase::Over,
            ],
            $phases,
        );
    }

    private static function kind(string $code): MeasureKind
    {
        return Cases::catalogue()->vocabulary->kinds->find($code) ?? throw new \LogicException($code);
    }

    private static function reading(
        string $code,
        float $value,
        string $day,
        ?Taken $taken = null,
    ): Reading {
        return new Reading(
            $code,
            Side::Right,
            Mode::Active,
            null,
            value: $value,
            on: new \DateTimeImmutable($day),
            taken: $taken,
        );
    }
}
