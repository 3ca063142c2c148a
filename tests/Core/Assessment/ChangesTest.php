<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Assessment;

use HandGarden\Assessment\Change;
use HandGarden\Assessment\Changes;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Measure\Change\Terms;
use HandGarden\Core\Measure\MedicationState;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Taken;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ChangesTest extends TestCase
{
    /** @return iterable<string, array{string, ?Mode, float, float, Judgement}> */
    public static function pairs(): iterable
    {
        yield 'wrist lifts further' => ['wrist_extension', Mode::Active, -10.0, 5.0, Judgement::Gain];
        yield 'wrist bends further: more minus is more' => [
            'wrist_flexion',
            Mode::Active,
            -40.0,
            -60.0,
            Judgement::Gain,
        ];
        yield 'a finger stops shorter of straight' => [
            'index_pip_extension',
            Mode::Active,
            40.0,
            30.0,
            Judgement::Gain,
        ];
        yield 'a finger bends less' => [
            'index_pip_flexion',
            Mode::Active,
            90.0,
            70.0,
            Judgement::Loss,
        ];
        yield 'within the error' => [
            'wrist_extension',
            Mode::Active,
            10.0,
            13.0,
            Judgement::NoChange,
        ];
        yield 'tone a full grade down' => ['tone_finger', null, 3.0, 2.0, Judgement::Gain];
        yield 'tone half a grade down' => ['tone_finger', null, 1.5, 1.0, Judgement::NoChange];
        yield 'a timed test has no default' => ['pegs_s', null, 50.0, 30.0, Judgement::NeedsRepeats];
    }

    #[DataProvider('pairs')]
    public function testADifferenceIsJudgedTowardsBetter(
        string $code,
        ?Mode $mode,
        float $first,
        float $last,
        Judgement $expected,
    ): void {
        $changes = $this->changes(
            [
                $this->reading($code, $mode, $first, '2026-01-01'),
                $this->reading($code, $mode, $last, '2026-02-01'),
            ],
        );

        self::assertCount(1, $changes);
        self::assertSame($expected, $changes[0]->judgement);
        self::assertNotNull($changes[0]->chart);
    }

    public function testOneDayOrWordsAreNothingToCompare(): void
    {
        self::assertSame(
            [],
            $this->changes(
                [
                    $this->reading('wrist_extension', Mode::Active, 1.0, '2026-01-01'),
                    $this->reading('wrist_extension', Mode::Active, 30.0, '2026-01-01'),
                ],
            ),
        );
        self::assertSame(
            [],
            $this->changes(
                [
                    new Reading(
                        'curls',
                        Side::Right,
                        null,
                        null,
                        value: true,
                        on: new \DateTimeImmutable('2026-01-01'),
                    ),
                    new Reading(
                        'curls',
                        Side::Right,
                        null,
                        null,
                        value: false,
                        on: new \DateTimeImmutable('2026-02-01'),
                    ),
                ],
            ),
        );
    }

    public function testTotalMotionNeedsEveryJointOnBothDaysAndMoreThanOneJointsError(): void
    {
        $day = function (string $on, float $straight, bool $whole = true): array {
            $readings = [];
            foreach (['mcp' => 80.0, 'pip' => 90.0, 'dip' => 60.0] as $joint => $bent) {
                $readings[] = $this->reading("index_{$joint}_flexion", Mode::Active, $bent, $on);
                if ($whole || 'dip' !== $joint) {
                    $readings[] = $this->reading("index_{$joint}_extension", Mode::Active, $straight, $on);
                }
            }

            return $readings;
        };
        $change = $this->total([...$day('2026-01-01', 20.0), ...$day('2026-02-01', 17.0)]);
        self::assertSame(
            Judgement::NoChange,
            $change?->judgement,
            'nine degrees over six readings are within sqrt(6) times five',
        );
        self::assertSame('+9', $change->difference);
        self::assertSame(
            Judgement::Gain,
            $this->total([...$day('2026-01-01', 20.0), ...$day('2026-02-01', 10.0)])?->judgement,
        );
        self::assertNull(
            $this->total([...$day('2026-01-01', 20.0, false), ...$day('2026-02-01', 10.0)]),
        );
    }

    public function testTheOtherHandLiesThinBesideItInTheSameTime(): void
    {
        $both = [];
        foreach (['2026-01-01' => 0.0, '2026-02-01' => 30.0] as $on => $degrees) {
            foreach ([Side::Right, Side::Left] as $side) {
                $both[] = new Reading(
                    'wrist_extension',
                    $side,
                    Mode::Active,
                    null,
                    value: Side::Right === $side ? $degrees : 60.0,
                    on: new \DateTimeImmutable($on),
                );
            }
        }
        foreach ($this->changes($both) as $change) {
            $lines = array_column(
                array_column($change->drawn()->chart->marks ?? [], 'attributes'),
                'class',
            );

            self::assertContains('other-line', $lines);
        }
        $alone = $this->changes([
            $this->reading('wrist_extension', Mode::Active, 0.0, '2026-01-01'),
            $this->reading('wrist_extension', Mode::Active, 30.0, '2026-02-01'),
        ]);
        self::assertNotContains('other-line', array_column(
            array_column($alone[0]->drawn()->chart->marks ?? [], 'attributes'),
            'class',
        ));
    }

    public function testLossesStandFirst(): void
    {
        $changes = $this->changes([
            $this->reading('wrist_extension', Mode::Active, 0.0, '2026-01-01'), $this->reading(
                'wrist_extension',
                Mode::Active,
                30.0,
                '2026-02-01',
            ),
            $this->reading(
                'forearm_supination',
                Mode::Active,
                50.0,
                '2026-01-01',
            ), $this->reading('forearm_supination', Mode::Active, 52.0, '2026-02-01'),
            $this->reading(
                'opposition_0to10',
                null,
                8.0,
                '2026-01-01',
            ), $this->reading('opposition_0to10', null, 4.0, '2026-02-01'),
        ]);

        self::assertSame(
            [Judgement::Loss, Judgement::Gain, Judgement::NoChange],
            array_map(static fn (Change $c): Judgement => $c->judgement, $changes),
        );
    }

    public function testNothingIsCalledAChangeAcrossAnInjectionOrAnotherMedicineState(): void
    {
        $pair = [
            $this->reading('wrist_extension', Mode::Active, 0.0, '2026-01-01'),
            $this->reading('wrist_extension', Mode::Active, 30.0, '2026-02-01'),
        ];
        self::assertSame(
            Judgement::NotComparable,
            (
                new Changes(
                    Cases::catalogue()->vocabulary->kinds,
                    new Terms(new \DateTimeImmutable('2026-01-15')),
                    Said::wording(),
                )
            )->for($pair)[0]->judgement,
        );
        $on = [
            $pair[0]->with(new Taken(medication: MedicationState::Off)),
            $pair[1]->with(new Taken(medication: MedicationState::On)),
        ];
        $change = $this->changes($on)[0];
        self::assertSame(Judgement::NotComparable, $change->judgement);
        self::assertNotNull($change->why);
    }

    /** @param list<Reading> $history */
    private function total(array $history): ?Change
    {
        return array_values(
            array_filter(
                $this->changes($history),
                static fn (Change $c): bool => 'Total active motion, index' === $c->label,
            ),
        )[0]
            ?? null;
    }

    /**
     * @param list<Reading> $history
     *
     * @return list<Change>
     */
    private function changes(array $history): array
    {
        return (new Changes(Cases::catalogue()->vocabulary->kinds, new Terms(), Said::wording()))->for(
            $history,
        );
    }

    private function reading(string $code, ?Mode $mode, float $value, string $day): Reading
    {
        return new Reading(
            $code,
            Side::Right,
            $mode,
            null,
            value: $value,
            on: new \DateTimeImmutable($day, new \DateTimeZone('UTC')),
        );
    }
}
