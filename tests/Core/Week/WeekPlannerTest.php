<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Week;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Week\HelperHours;
use HandGarden\Core\Week\InvalidWeek;
use HandGarden\Core\Week\PlannedDay;
use HandGarden\Core\Week\Slot;
use HandGarden\Core\Week\Week;
use HandGarden\Core\Week\WeekInput;
use HandGarden\Core\Week\WeekPlanner;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Measure\Noise;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class WeekPlannerTest extends TestCase
{
    private const MONDAY = '2026-01-05';

    public function testTrainingDaysLieApartAndStretchingStandsOnTheOthersToo(): void
    {
        $week = $this->plan('tight-hand', 3);

        self::assertSame([0, 2, 4], self::trainingDays($week));
        foreach ($week->days as $day) {
            self::assertNotNull($day->slot, 'what stretches and calms is for every day');
        }
        self::assertLessThan(\count($week->days[0]->items), \count($week->days[1]->items));
        self::assertSame([], $week->conflicts);
        self::assertSame(
            [0, 1, 3, 4, 6],
            self::trainingDays($this->plan('tight-hand', 5)),
            'no three in a row where two and two will do',
        );
    }

    public function testTakenTimesAreLeftFreeAndAFullDayIsNamed(): void
    {
        $week = $this->plan(
            'tight-hand',
            5,
            ['busy' => [0 => [new Slot(0, 1440)], 1 => [new Slot(6 * 60, 12 * 60)]]],
        );

        self::assertNull($week->days[0]->slot);
        self::assertEquals([new Phrase('week.no_time')], $week->days[0]->conflicts);
        self::assertNotNull($week->days[1]->slot);
        self::assertGreaterThanOrEqual(12 * 60, $week->days[1]->slot->from);
        self::assertCount(5, self::trainingDays($week));
    }

    public function testTooFewFreeDaysAreSaid(): void
    {
        $full = [new Slot(0, 1440)];
        $week = $this->plan('tight-hand', 5, ['busy' => [$full, $full, $full, $full, $full]]);

        self::assertStringContainsString('2 of 5 training days', Said::of($week->conflicts[0]));
    }

    public function testWithAFeltMedicineTheSittingLiesInItsWindowOnEveryDay(): void
    {
        $week = $this->plan(
            'cupped-hands',
            4,
            ['conditions' => [Condition::Parkinsons], 'doses' => [7 * 60, 13 * 60]],
        );
        foreach ($week->days as $day) {
            self::assertSame(7 * 60 + 45, $day->slot?->from, 'the same time after the dose');
        }
        $taken = $this->plan(
            'cupped-hands',
            4,
            [
                'conditions' => [Condition::Parkinsons],
                'doses' => [7 * 60, 13 * 60],
                'busy' => array_fill(0, 7, [new Slot(7 * 60, 11 * 60)]),
            ],
        );
        self::assertSame(13 * 60 + 45, $taken->days[0]->slot?->from);
    }

    public function testAStiffHandMovesBeforeBreakfast(): void
    {
        self::assertSame(
            7 * 60,
            $this->plan('tight-hand', 5, ['stiff' => true])->days[0]->slot?->from,
        );
        self::assertSame(10 * 60, $this->plan('tight-hand', 5)->days[0]->slot?->from);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 12; ++$seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testWhateverTheWeekTheRulesHold(int $seed): void
    {
        $noise = new Noise($seed);
        $busy = $helper = [];
        for ($day = 0; $day < 7; ++$day) {
            for ($n = 0; $n < 3; ++$n) {
                $from = (int) $noise->between(360.0, 1200.0);
                $busy[$day][] = new Slot($from, $from + (int) $noise->between(30.0, 240.0));
            }
            if ($noise->between(0.0, 1.0) < 0.6) {
                $helper[$day][] = new Slot(480, 780);
            }
        }
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            $items = $this->items($name);
            $options = [
                'busy' => $busy,
                'helper' => $helper,
                'strength' => '2026-01-04',
                'items' => $items,
            ];
            $week = $this->plan($name, 1 + $seed % 7, $options);
            self::assertEquals(
                $week,
                $this->plan($name, 1 + $seed % 7, $options),
                'same input, same week',
            );
            $last = -1; // strength on the Sunday before
            foreach ($week->days as $weekday => $day) {
                if (null !== $day->slot) {
                    self::assertSame([], array_filter($busy[$weekday], $day->slot->overlaps(...)));
                    self::assertSame(
                        [],
                        $this->rules($name)->broken($day->items),
                        'a day keeps the hard rules',
                    );
                }
                foreach ($day->items as $item) {
                    if (
                        !\in_array(Performer::ClientAlone, $item->rung->fit->performers, true)
                        && !\in_array(Performer::OwnOtherHand, $item->rung->fit->performers, true)
                    ) {
                        self::assertNotNull($day->slot);
                        self::assertNotSame(
                            [],
                            array_filter(
                                $helper[$weekday] ?? [],
                                static fn (Slot $h): bool => $h->holds($day->slot),
                            ),
                            $item->rung->name,
                        );
                    }
                }
                if ($day->hasStrength()) {
                    self::assertGreaterThanOrEqual(2, $weekday - $last, 'never on two days running');
                    $last = $weekday;
                }
                $this->assertNothingLeftOutSilently($items, $day);
            }
        }
    }

    public function testHoursOfTheHelperAreReadOrRefusedByName(): void
    {
        $hours = HelperHours::parse("Mon-Wed 8:00-12:00; sun 16.30 - 18.00\nTue 20:00-21:00");
        self::assertSame([0, 1, 2, 6], array_keys($hours));
        self::assertEquals([new Slot(480, 720), new Slot(1200, 1260)], $hours[1]);
        self::assertSame(
            [0, 5, 6],
            array_keys(HelperHours::parse('Sat-Mon 8:00-9:00')),
            'round the weekend',
        );
        self::assertSame([], HelperHours::parse('  '));
        foreach (
            ['mornings', 'Mon 8-12', 'Xyz 8:00-9:00', 'Mon 12:00-8:00', 'Mon 8:00-29:00'] as $wrong
        ) {
            try {
                HelperHours::parse($wrong);
                self::fail($wrong);
            } catch (InvalidWeek $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    public function testNonsenseIsNoWeek(): void
    {
        $this->expectException(InvalidWeek::class);
        new WeekInput(new \DateTimeImmutable('2026-01-06'), [], 3);
    }

    /** @return list<int> */
    private static function trainingDays(Week $week): array
    {
        return array_keys(
            array_filter($week->days, static fn (PlannedDay $d): bool => $d->isTraining),
        );
    }

    /** @param list<Item> $items */
    private function assertNothingLeftOutSilently(array $items, PlannedDay $day): void
    {
        if (!$day->isTraining) {
            return;
        }
        $there = array_map(static fn (Item $i): string => $i->key(), $day->items);
        foreach ($items as $item) {
            if (
                !\in_array($item->key(), $there, true) && EffortClass::Strength !== $item->rung->load->class
            ) {
                self::assertNotSame(
                    [],
                    array_filter(
                        $day->conflicts,
                        static fn (Phrase $c): bool => 'week.no_time' === $c->code
                            || str_contains(Said::of($c), $item->rung->name),
                    ),
                    $item->rung->name,
                );
            }
        }
    }

    /** @param array<string, mixed> $options */
    private function plan(string $name, int $days, array $options = []): Week
    {
        /**
         * @var array{
         *     busy?: array<int, list<Slot>>,
         *     helper?: array<int, list<Slot>>,
         *     conditions?: list<Condition>,
         *     doses?: list<int>,
         *     strength?: string,
         *     stiff?: bool,
         *     items?: list<Item>,
         * } $options
         */
        $input = new WeekInput(
            new \DateTimeImmutable(self::MONDAY),
            $options['items'] ?? $this->items($name),
            $days,
            $options['conditions'] ?? [],
            doseMinutes: $options['doses'] ?? [],
            busy: $options['busy'] ?? [],
            helper: $options['helper'] ?? null,
            lastStrength: isset($options['strength'])
                ? new \DateTimeImmutable($options['strength'])
                : null,
            isStiff: $options['stiff'] ?? false,
        );

        return (new WeekPlanner($this->catalogue(), $this->rules($name)))->plan($input);
    }

    /** @return list<Item> */
    private function items(string $name): array
    {
        $case = Cases::example($name);
        $placements = (new Placer($this->catalogue()))->place($case->facts, $case->today);

        return (new Builder($this->catalogue()))->build(
            new Brief(
                $placements,
                $case->facts,
                $case->goals,
                new Limits(30, 150.0, 20),
                today: $case->today,
            ),
        )->sequence->items;
    }

    private function rules(string $name): SittingRules
    {
        $case = Cases::example($name);

        return (new Builder($this->catalogue()))->rulesFor(
            $case->facts,
            new Limits(30, 150.0, 20),
            $case->today,
        );
    }

    private function catalogue(): Catalogue
    {
        return Cases::catalogue();
    }
}
