<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Week;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\OtherDays;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Week\Block;
use HandGarden\Core\Week\DayList;
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
            self::assertNotSame([], $day->slots, 'what stretches and calms is for every day');
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

        self::assertSame([], $week->days[0]->slots);
        self::assertEquals([new Phrase('week.no_time')], $week->days[0]->conflicts);
        self::assertCount(1, $week->days[1]->slots);
        self::assertGreaterThanOrEqual(12 * 60, $week->days[1]->slots[0]->from);
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
            self::assertSame(7 * 60 + 45, $day->slots[0]->from, 'the same time after the dose');
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
        self::assertSame(13 * 60 + 45, $taken->days[0]->slots[0]->from);
    }

    public function testAStiffHandMovesBeforeBreakfast(): void
    {
        self::assertSame(
            7 * 60,
            $this->plan('tight-hand', 5, ['stiff' => true])->days[0]->slots[0]->from,
        );
        self::assertSame(10 * 60, $this->plan('tight-hand', 5)->days[0]->slots[0]->from);
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
                foreach ($day->slots as $slot) {
                    self::assertSame([], array_filter($busy[$weekday], $slot->overlaps(...)));
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
                        self::assertCount(1, $day->slots);
                        self::assertNotSame(
                            [],
                            array_filter(
                                $helper[$weekday] ?? [],
                                static fn (Slot $h): bool => $h->holds($day->slots[0]),
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

    public function testTwoListsTakeTurnsAndWhatMattersMostStandsInBoth(): void
    {
        $brief = $this->brief('cupped-hands', 30);
        $builder = new Builder($this->catalogue());
        $first = $builder->build($brief)->sequence->items;
        $focus = (new Candidates($this->catalogue(), $brief))->focus();
        $turns = (new OtherDays($this->catalogue()))->takingTurns($first, $focus);
        $second = $builder->build($brief->withEdits(new Edits(forbidden: $turns)))->sequence->items;
        self::assertTrue(OtherDays::differ($first, $second));
        foreach ($second as $item) {
            self::assertNotContains($item->key(), $turns);
        }

        $week = $this->plan('cupped-hands', 5, ['items' => $first, 'others' => $second]);
        self::assertSame(
            [DayList::A, DayList::B, DayList::A, DayList::B, DayList::A],
            array_values(
                array_filter(array_map(static fn (PlannedDay $d): ?DayList => $d->list, $week->days)),
            ),
        );
        self::assertNotSame([], $focus);
        foreach ($focus as [$placed]) {
            self::assertGreaterThanOrEqual(
                EffortClass::Strength === $placed->ladder->rungs[0]->load->class ? 3 : 4,
                \count($this->daysWith($week, $placed->ladder)),
                $placed->ladder->name,
            );
        }
        self::assertNull($this->plan('cupped-hands', 5, ['items' => $first])->days[0]->list);
    }

    /** @return list<PlannedDay> */
    private function daysWith(Week $week, Ladder $ladder): array
    {
        return array_values(array_filter($week->days, fn (PlannedDay $d): bool => [] !== array_filter(
            $d->items,
            fn (Item $i): bool => $this->catalogue()->ladderOf($i->rung->id) === $ladder,
        )));
    }

    public function testManySmallSetsLieAnHourApartAndWhatHasNoRoomIsNamed(): void
    {
        $week = $this->plan('tight-hand', 5, ['sittings' => 5]);
        foreach ($week->days as $day) {
            self::assertCount(5, $day->slots);
            foreach (\array_slice($day->slots, 1) as $i => $slot) {
                self::assertGreaterThanOrEqual(60, $slot->from - $day->slots[$i]->to);
            }
        }
        $full = $this->plan(
            'tight-hand',
            5,
            ['sittings' => 3, 'busy' => array_fill(0, 7, [new Slot(0, 15 * 60), new Slot(16 * 60, 1440)])],
        );
        self::assertCount(1, $full->days[0]->slots);
        self::assertContains(
            'week.few_sittings',
            array_map(static fn (Phrase $c): string => $c->code, $full->days[0]->conflicts),
        );
    }

    public function testLargeMovementsStandOnEveryDayOfTheirBlockAndOnTrainingDaysAfterIt(): void
    {
        $large = array_values(array_filter(
            $this->items('cupped-hands'),
            fn (Item $i): bool => Strand::Amplitude === $this->catalogue()->ladderOf($i->rung->id)->strand,
        ));
        self::assertNotSame([], $large);
        $with = fn (?Block $block): int => \count($this->daysWith(
            $this->plan('cupped-hands', 3, ['block' => $block]),
            $this->catalogue()->ladderOf($large[0]->rung->id),
        ));

        self::assertSame(7, $with(new Block(new \DateTimeImmutable(self::MONDAY))));
        self::assertSame(7, $with(null));
        self::assertSame(3, $with(new Block(new \DateTimeImmutable('2025-12-01'))));
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
         *     others?: list<Item>,
         *     sittings?: int,
         *     block?: ?Block,
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
            others: $options['others'] ?? [],
            sittings: $options['sittings'] ?? 1,
            block: $options['block'] ?? null,
        );

        return (new WeekPlanner($this->catalogue(), $this->rules($name)))->plan($input);
    }

    /** @return list<Item> */
    private function items(string $name): array
    {
        return (new Builder($this->catalogue()))->build($this->brief($name, 30))->sequence->items;
    }

    private function brief(string $name, int $minutes): Brief
    {
        $case = Cases::example($name);

        return new Brief(
            (new Placer($this->catalogue()))->place($case->facts, $case->today),
            $case->facts,
            $case->goals,
            new Limits($minutes, 5.0 * $minutes, 20),
            today: $case->today,
        );
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
