<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Core\Catalogue\ApproachTag;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\DoseKind;
use HandGarden\Core\Catalogue\ExerciseFilter;
use HandGarden\Core\Catalogue\ExerciseSearch;
use HandGarden\Core\Catalogue\IndexedExercise;
use HandGarden\Core\Catalogue\Performer;
use HandGarden\Core\Catalogue\Posture;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

final class ExerciseSearchTest extends TestCase
{
    public function testTheNameCountsMoreThanTheText(): void
    {
        $ids = $this->ids(new ExerciseFilter(ExerciseSearch::wordsIn('Putty')));

        self::assertSame(['putty-ball-to-rope', 'putty-finger-marks'], \array_slice($ids, 0, 2));
        self::assertContains('rocker-cut-putty', $ids);
    }

    public function testAllWordsHaveToBeFoundEachAsTheBeginningOfAWord(): void
    {
        self::assertSame(
            ['pencil-creep', 'pencil-creep-spin'],
            $this->ids(new ExerciseFilter(['pencil', 'cre'])),
        );
        self::assertSame([], $this->ids(new ExerciseFilter(['pencil', 'eep'])));
        self::assertSame(['a', 'thumb', 's'], ExerciseSearch::wordsIn("  A thumb's "));
        self::assertSame([], ExerciseSearch::wordsIn('!? (*'));
    }

    public function testWithAdvancedDementiaOnlyWhatListsItIsFound(): void
    {
        $found = $this->ids(new ExerciseFilter(condition: Condition::AdvancedDementia));

        self::assertContains('soft-squeeze', $found);
        self::assertNotContains('five-count-squeeze', $found);
    }

    public function testAFilterMoreNeverFindsMore(): void
    {
        for ($seed = 0; $seed < 40; ++$seed) {
            $random = new Randomizer(new Mt19937($seed));
            $pick = static fn (array $from): mixed => $from[$random->getInt(0, \count($from) - 1)];
            /** @var Condition $condition */
            $condition = $pick(Condition::cases());
            /** @var Posture $posture */
            $posture = $pick(Posture::cases());
            /** @var Performer $performer */
            $performer = $pick(Performer::cases());
            $wide = $this->ids(new ExerciseFilter(condition: $condition));
            $narrow = $this->ids(
                new ExerciseFilter(
                    condition: $condition,
                    performer: $performer,
                    posture: $posture,
                    minutes: $random->getInt(1, 5),
                ),
            );
            self::assertSame([], array_diff($narrow, $wide), "seed $seed");
        }
    }

    public function testMaterialsAtHandLeaveOutWhatNeedsMore(): void
    {
        $none = $this->ids(new ExerciseFilter(materials: []));
        self::assertContains('finger-ripple', $none);
        self::assertNotContains('coin-still-hold', $none);
        self::assertContains('coin-still-hold', $this->ids(new ExerciseFilter(materials: ['coins'])));
    }

    public function testEveryStrandIsFoundWhole(): void
    {
        $all = 0;
        foreach (Strand::cases() as $strand) {
            $all += \count($this->ids(new ExerciseFilter(strand: $strand)));
        }
        self::assertSame(188, $all);
    }

    public function testEveryExerciseHasAnEasierOrAHarderOne(): void
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            self::assertNotSame(
                [],
                [
                    ...Cases::catalogue()->easierThan($rung->id),
                    ...Cases::catalogue()->harderThan($rung->id),
                ],
                $rung->id,
            );
            self::assertNotContains($rung, Cases::catalogue()->harderThan($rung->id));
        }
    }

    public function testSqueezingIsMarkedWhereverTheHandClosesAgainstSomethingSoft(): void
    {
        foreach (
            [
                'soft-squeeze',
                'five-count-squeeze',
                'putty-ball-to-rope',
                'laced-finger-squeeze',
            ] as $id
        ) {
            self::assertContains(ApproachTag::Squeezing, Cases::catalogue()->rung($id)->sitting->tags, $id);
        }
        self::assertContains(
            ApproachTag::BriskFacilitation,
            Cases::catalogue()->rung('release-phase-fingers')->sitting->tags,
        );
        foreach (Cases::catalogue()->rungs() as $rung) {
            self::assertSame(
                $rung->dosing->start->loadKilograms > 0.0,
                \in_array(ApproachTag::Load, $rung->sitting->tags, true)
                    && $rung->dosing->range->loadKilograms[1] > 0.0
                    && $rung->dosing->start->loadKilograms > 0.0,
                $rung->id,
            );
        }
    }

    /** @return iterable<string, array{DoseKind, Dose, string}> */
    public static function doses(): iterable
    {
        yield 'repetitions' => [DoseKind::Repetitions, Dose::from(
            2,
            8,
            1,
            6,
            holdSeconds: 0,
            restSeconds: 0,
        ), '2 sets of 8 ×'];
        yield 'holds with load' => [
            DoseKind::Holds,
            Dose::from(1, 5, 1, 6, holdSeconds: 10, restSeconds: 0, loadKilograms: 0.25),
            '5 ×, hold 10 s, 0.25 kg',
        ];
        yield 'timed' => [DoseKind::Timed, Dose::from(
            1,
            1,
            1,
            90,
            holdSeconds: 0,
            restSeconds: 0,
        ), '1 min 30 s'];
        yield 'timed in minutes' => [DoseKind::Timed, Dose::from(
            1,
            1,
            1,
            120,
            holdSeconds: 0,
            restSeconds: 0,
        ), '2 min'];
        yield 'pieces' => [DoseKind::Objects, Dose::from(
            1,
            5,
            1,
            8,
            holdSeconds: 0,
            restSeconds: 0,
        ), '5 pieces'];
        yield 'fingers' => [DoseKind::PerFinger, Dose::from(
            1,
            3,
            4,
            4,
            holdSeconds: 0,
            restSeconds: 0,
        ), '3 × each of 4'];
        yield 'sides' => [DoseKind::PerSide, Dose::from(
            1,
            10,
            2,
            4,
            holdSeconds: 0,
            restSeconds: 0,
        ), '10 × each of 2 ways'];
        yield 'a sequence' => [
            DoseKind::Sequence,
            Dose::from(3, 1, 4, 3, holdSeconds: 0, restSeconds: 0),
            '3 sets of 1 × 4 in a row',
        ];
        yield 'on a beat' => [
            DoseKind::Tempo,
            Dose::from(1, 8, 1, 3, holdSeconds: 0, restSeconds: 0),
            '8 ×',
        ];
    }

    #[DataProvider('doses')]
    public function testADoseIsSaidByWhatItCounts(DoseKind $kind, Dose $dose, string $words): void
    {
        self::assertSame($words, $kind->words($dose));
    }

    /** @return list<string> */
    private function ids(ExerciseFilter $filter): array
    {
        return array_map(
            static fn (IndexedExercise $hit): string => $hit->id,
            ExerciseSearch::over(Cases::catalogue())->find($filter),
        );
    }
}
