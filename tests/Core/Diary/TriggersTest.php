<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Diary;

use HandGarden\Core\Diary\DayOrders;
use HandGarden\Core\Diary\Entry;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Moment;
use HandGarden\Core\Diary\Split;
use HandGarden\Core\Diary\Trial;
use HandGarden\Core\Diary\TrialVerdict;
use HandGarden\Core\Diary\Triggers;
use HandGarden\Tests\Core\MadeUpDiary;
use PHPUnit\Framework\TestCase;

final class TriggersTest extends TestCase
{
    private const SEED = 7;

    public function testNothingIsClaimedOfDiariesInWhichNothingIsMoreOftenThanItMay(): void
    {
        $claims = 0;
        for ($seed = 1000; $seed < 1300; ++$seed) { // for many thousands see bench/diary.php
            $entries = MadeUpDiary::of(28, $seed);
            $claims += [] === Triggers::in($entries, Factor::usual(), $seed, 199)->found ? 0 : 1;
        }

        self::assertLessThanOrEqual(18, $claims, 'six in a hundred');
    }

    public function testAnEffectThatWasPutInIsFound(): void
    {
        $found = 0;
        for ($seed = 0; $seed < 40; ++$seed) {
            $entries = MadeUpDiary::of(28, $seed, Factor::Stress, 3);
            $first = Triggers::in($entries, Factor::usual(), $seed, 199)->found[0] ?? null;
            $found += Factor::Stress === $first?->factor ? 1 : 0;
        }

        self::assertGreaterThan(32, $found, 'four of five');
    }

    public function testDrawnOrdersComeToWhatAllOfThemSay(): void
    {
        $entries = [];
        foreach ([6, 5, 7, 4, 2, 1, 3] as $n => $severity) {
            $entries[] = self::entry($n, Moment::First, $severity, ['stress' => $n < 3 ? 9.0 : 1.0]);
        }
        $split = Split::of(Factor::Stress, $entries);
        $severities = array_map(static fn (Entry $e): int => $e->severity, $entries);
        $true = $split->statistic($severities);
        $orders = new DayOrders($entries);
        self::assertSame(5040, $orders->count());
        $all = self::share($orders->each($severities, 0, 0), $split, $true);
        self::assertEqualsWithDelta(1 / 35, $all, 1e-9, 'one of the 35 ways to choose three days of seven');

        $drawn = 0;
        $random = new \Random\Randomizer(new \Random\Engine\Xoshiro256StarStar(self::SEED));
        for ($n = 0; $n < 20000; ++$n) {
            $drawn += $split->statistic($random->shuffleArray($severities)) >= $true - 1e-9 ? 1 : 0;
        }
        self::assertEqualsWithDelta($all, $drawn / 20000, 0.005);
    }

    public function testWholeDaysChangePlacesAndOnlyWithDaysLikeThem(): void
    {
        $entries = [];
        for ($day = 0; $day < 9; ++$day) {
            $entries[] = self::entry($day, Moment::First, $day, []);
            if (0 === $day % 2) {
                $entries[] = self::entry($day, Moment::Second, $day, []);
            }
        }
        $severities = array_map(static fn (Entry $e): int => $e->severity, $entries);
        foreach ((new DayOrders($entries))->each($severities, 50, self::SEED) as $drawn) {
            $sorted = $drawn;
            sort($sorted);
            $before = $severities;
            sort($before);
            self::assertSame($before, $sorted);
            foreach ($entries as $place => $entry) {
                if (Moment::Second === $entry->moment) {
                    self::assertSame($drawn[$place - 1], $drawn[$place], 'a day stays together');
                }
            }
        }
    }

    public function testEntriesOfJustThenAndLateOnesAreNeverCompared(): void
    {
        $entries = [];
        for ($n = 0; $n < 30; ++$n) {
            $stress = ['stress' => 0 === $n % 3 ? 1.0 : 9.0];
            $entries[] = self::entry($n % 15, Moment::Now, 0 === $n % 3 ? 1 : 9, $stress);
            $entries[] = new Entry(self::day($n % 15), Moment::First, $n % 3, $stress, isLate: true);
        }
        for ($n = 0; $n < 9; ++$n) {
            $entries[] = self::entry($n, Moment::First, 3, ['stress' => 5.0]);
        }
        $triggers = Triggers::in($entries, Factor::usual(), self::SEED);

        self::assertSame(9, $triggers->entries);
        self::assertTrue($triggers->isTooFew());
        self::assertSame([], $triggers->found, 'no cause is named');
    }

    public function testTheOrderInWhichEntriesCameDoesNotMatter(): void
    {
        $entries = MadeUpDiary::of(28, 3, Factor::SleptHours, 4);
        $one = Triggers::in($entries, Factor::usual(), self::SEED);
        $other = Triggers::in(array_reverse($entries), Factor::usual(), self::SEED);

        self::assertEqualsWithDelta(
            array_map(static fn ($f): float => $f->difference(), $one->found),
            array_map(static fn ($f): float => $f->difference(), $other->found),
            1e-9,
        );
    }

    public function testShortSleepIsTheSideThatIsLookedAt(): void
    {
        $entries = [];
        for ($n = 0; $n < 24; ++$n) {
            $slept = 0 === $n % 2 ? 4.0 + $n % 4 / 10 : 8.0;
            $entries[] = self::entry($n, Moment::First, 0 === $n % 2 ? 7 : 2, ['slept-hours' => $slept]);
        }
        $found = Triggers::in($entries, [Factor::SleptHours], self::SEED)->found[0] ?? self::fail();

        self::assertSame(Factor::SleptHours, $found->factor);
        self::assertGreaterThan(4.0, $found->difference());
        self::assertLessThan(Triggers::CLAIMED_BELOW, $found->chance);
    }

    public function testATrialThatSomethingElseChangedInIsNotCompared(): void
    {
        $entries = MadeUpDiary::of(28, 1);
        $from = MadeUpDiary::begin()->modify('+14 days');
        $judge = static fn (\DateTimeImmutable $changed): TrialVerdict => Trial::judge(
            $entries,
            $from,
            [$changed],
            1,
            seed: self::SEED,
        )->verdict;

        self::assertSame(TrialVerdict::NotComparable, $judge($from->modify('+6 days')));
        self::assertNotSame(TrialVerdict::NotComparable, $judge($from->modify('+14 days')));
    }

    public function testATrialOfWhichMuchLessCameIsSaidSoAndManyTrialsMakeItHarder(): void
    {
        $entries = [];
        for ($day = 0; $day < 28; ++$day) {
            $entries[] = self::entry($day, Moment::First, $day < 14 ? 6 + $day % 3 : 3 + $day % 3, []);
        }
        $from = self::day(14);
        $trial = Trial::judge($entries, $from, [], 1, seed: self::SEED);

        self::assertSame(TrialVerdict::Less, $trial->verdict);
        self::assertGreaterThan($trial->during, $trial->before);
        self::assertSame(
            TrialVerdict::NoClearDifference,
            Trial::judge($entries, $from, [], 1000, seed: self::SEED)->verdict,
        );
        self::assertSame(
            TrialVerdict::TooFew,
            Trial::judge(\array_slice($entries, 0, 20), $from, [], 1, seed: self::SEED)->verdict,
        );
    }

    /** @param iterable<array<int, int>> $orders */
    private static function share(iterable $orders, Split $split, float $true): float
    {
        $count = $reached = 0;
        foreach ($orders as $drawn) {
            ++$count;
            $reached += $split->statistic($drawn) >= $true - 1e-9 ? 1 : 0;
        }

        return $reached / $count;
    }

    private static function day(int $nth): \DateTimeImmutable
    {
        return MadeUpDiary::begin()->modify("+$nth days");
    }

    /** @param array<string, float> $answers */
    private static function entry(int $day, Moment $moment, int $severity, array $answers): Entry
    {
        return new Entry(self::day($day), $moment, $severity, $answers);
    }
}
