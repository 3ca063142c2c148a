<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Release;

use HandGarden\Core\Measure\ToneGrade;
use HandGarden\Core\Release\OpeningTest;
use HandGarden\Core\Release\ReleaseCourse;
use HandGarden\Core\Release\ReleaseEnd;
use HandGarden\Core\Release\ReleaseLimits;
use HandGarden\Core\Release\ReleaseMark;
use HandGarden\Core\Release\ReleaseStage;
use HandGarden\Core\Release\ReleaseTable;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The hands-on release: only what eases goes on, what tightens goes where the step says, twice ends it. */
final class ReleaseCourseTest extends TestCase
{
    public function testEasingLeadsThroughEveryStepButTheOneForAHandThatNeedsIt(): void
    {
        [$went, $course] = $this->through(
            $this->course(),
            array_fill(0, 11, ReleaseMark::Softer),
        );

        self::assertSame(['2', '3', '4', '5', '6', '7', '8', '9', '10', '11', 'test'], $went);
        self::assertSame(range(1, 11), $course->passed);
        [$went] = $this->through(
            $course->tested(new OpeningTest(60), 600),
            [ReleaseMark::Opens],
        );
        self::assertSame(['active'], $went, 'without grasp practice in the plan it is tried again');
    }

    public function testWithAShoulderThatIsNotFreeTheArmIsNotRaised(): void
    {
        [$went] = $this->through(
            $this->course(mayRaise: false),
            array_fill(0, 10, ReleaseMark::Opens),
        );

        self::assertNotContains('10', $went);
        self::assertSame(['9', '11', 'test'], \array_slice($went, -3));
    }

    public function testWhereStrokesAloneDoNothingTheBoostIsTried(): void
    {
        $marks = [...array_fill(0, 10, ReleaseMark::Softer), ReleaseMark::Same];
        [$went, $course] = $this->through($this->course(), $marks);
        self::assertSame('12', end($went));
        [$went] = $this->through($course, [ReleaseMark::Softer]);
        self::assertSame(['test'], $went);
    }

    #[TestWith([3, 2])]
    #[TestWith([5, 4])]
    #[TestWith([6, 4])]
    #[TestWith([8, 4])]
    #[TestWith([9, 8])]
    #[TestWith([11, 9])]
    #[TestWith([2, 2])]
    public function testAHandThatTightensGoesWhereTheStepSays(int $step, int $to): void
    {
        $marks = [...array_fill(0, $step - 1, ReleaseMark::Softer), ReleaseMark::Tighter];
        [$went, $course] = $this->through($this->course(), $marks);
        self::assertSame((string) $to, end($went));

        [$went, $course] = $this->through($course, [ReleaseMark::Tighter]);
        self::assertSame(['positioning'], $went, 'twice is enough');
        self::assertSame(ReleaseEnd::TooTight, $course->end);
    }

    public function testTheSameTwiceAtOneStepMayEnd(): void
    {
        [, $course] = $this->through($this->course(), [ReleaseMark::Same]);
        self::assertFalse($course->mayAsWellEnd());
        [$went, $course] = $this->through($course, [ReleaseMark::Same]);
        self::assertSame(['1'], $went);
        self::assertTrue($course->mayAsWellEnd());
        [, $course] = $this->through(
            $course,
            [ReleaseMark::Softer, ReleaseMark::Same],
        );
        self::assertFalse($course->mayAsWellEnd(), 'another step, counted anew');
    }

    public function testAfterTwentyMinutesItEndsWithPositioning(): void
    {
        $course = $this->course()->marked(ReleaseMark::Softer, 1199);
        self::assertSame('2', $course->place->code());
        $course = $course->marked(ReleaseMark::Softer, 1200);
        self::assertSame('positioning', $course->place->code());
        self::assertSame(ReleaseEnd::TimeIsUp, $course->end);
    }

    #[TestWith([40, null, 59, null, false])]
    #[TestWith([40, null, 60, null, true])]
    #[TestWith([40, '2', 40, '1+', false], 'half a grade is not a full one')]
    #[TestWith([40, '2', 40, '1', true])]
    #[TestWith([40, '1+', 45, '0', true])]
    #[TestWith([40, '1', 60, '1+', false], 'wider, and graded as tighter')]
    #[TestWith([40, '2', 30, null, false])]
    public function testOnlyAClearDropLeadsToOpeningByOneself(
        int $before,
        ?string $toneBefore,
        int $after,
        ?string $toneAfter,
        bool $mayTry,
    ): void {
        $course = $this->course(before: new OpeningTest($before, ToneGrade::tryFrom($toneBefore ?? '')));
        [, $course] = $this->through(
            $course,
            array_fill(0, 11, ReleaseMark::Softer),
        );
        $course = $course->tested(
            new OpeningTest($after, ToneGrade::tryFrom($toneAfter ?? '')),
            600,
        );

        self::assertSame(
            $mayTry ? 'active' : 'positioning',
            $course->place->code(),
        );
        self::assertSame($mayTry ? null : ReleaseEnd::NotDropped, $course->end);
    }

    public function testGraspPracticeComesInTurnAndLeadsBackToTheStepsWhenTheHandTightens(): void
    {
        [, $course] = $this->through(
            $this->course(hasGrasp: true),
            array_fill(0, 11, ReleaseMark::Softer),
        );
        [$went] = $this->through(
            $course->tested(new OpeningTest(70), 600),
            [ReleaseMark::Softer, ReleaseMark::Same, ReleaseMark::Opens, ReleaseMark::Tighter],
        );

        self::assertSame(['grasp', 'active', 'grasp', '4'], $went);
    }

    public function testWhateverIsMarkedATighteningHandIsNeverLedOn(): void
    {
        foreach (range(1, 400) as $seed) {
            mt_srand($seed);
            $course = $this->course(
                mayRaise: 0 === $seed % 2,
                hasGrasp: 0 === $seed % 3,
            );
            for ($n = 0; $n < 40; ++$n) {
                $before = $course;
                [$act, $value] = self::act();
                $course = self::done($course, $act, $value, 20 * $n);
                $hasEnded = ReleaseStage::Positioning === $before->place->stage;
                if ($hasEnded) {
                    self::assertSame('positioning', $course->place->code(), 'nothing comes after it');
                }
                if ('mark' === $act && \in_array($value, ['tighter', 'same'], true)) {
                    self::assertLessThanOrEqual(
                        12 === $course->place->step ? 12 : self::rank($before),
                        self::rank($course),
                        "seed $seed",
                    );
                }
                if (ReleaseStage::Active === $course->place->stage && 'active' !== $before->place->code()) {
                    self::assertContains($before->place->code(), ['test', 'grasp']);
                    self::assertNotNull($course->before);
                    self::assertTrue(
                        $course->after?->hasDroppedSince($course->before, new ReleaseLimits()) ?? false,
                    );
                }
                self::assertLessThan(3, $course->tighter);
            }
        }
    }

    public function testTheBrowserGoesWhereTheCoreGoes(): void
    {
        $table = $this->table(mayRaise: true, hasGrasp: true);
        $limits = new ReleaseLimits();
        $courses = $wanted = [];
        foreach (range(1, 300) as $seed) {
            mt_srand($seed);
            $before = new OpeningTest(30, ToneGrade::cases()[mt_rand(0, 5)]);
            $course = ReleaseCourse::begin($table, $limits, $before);
            $acts = $went = [];
            for ($n = 0; $n < 60; ++$n) {
                [$act, $value] = self::act(easy: true);
                $acts[] = [$act, $value instanceof OpeningTest ? self::told($value) : $value, 60 * $n];
                $course = self::done($course, $act, $value, 60 * $n);
                $passed = $course->passed;
                sort($passed);
                $went[] = [
                    $course->place->code(),
                    $course->end?->value,
                    $course->mayAsWellEnd(),
                    $passed,
                ];
            }
            $courses[] = ['before' => self::told($before), 'acts' => $acts];
            $wanted[] = $went;
        }

        self::assertSame($wanted, self::inTheBrowser([
            'table' => [
                'begin' => $table->begin()->code(),
                'moves' => $table->moves(),
                'limits' => $limits->told(),
                'ranks' => ToneGrade::ranks(),
            ],
            'courses' => $courses,
        ]));
        $ends = array_count_values(array_filter(array_map(
            static fn (array $went): string => $went[59][1] ?? '',
            $wanted,
        )));
        self::assertCount(
            4,
            $ends,
            'every way to end is among them: '.json_encode($ends),
        );
    }

    /** @return array{string, string|OpeningTest} an act, and what is told with it */
    private static function act(bool $easy = false): array
    {
        $marks = $easy
            ? ['softer', 'softer', 'softer', 'softer', 'opens', 'same', 'softer', 'softer', 'opens', 'tighter']
            : ['softer', 'opens', 'same', 'tighter'];

        return match (mt_rand(0, 99)) {
            0 => ['position', 'chosen'],
            default => mt_rand(0, 4) > 0
                ? ['mark', $marks[array_rand($marks)]]
                : ['test', new OpeningTest(10 * mt_rand(0, 10), ToneGrade::cases()[mt_rand(0, 5)])],
        };
    }

    private static function done(
        ReleaseCourse $course,
        string $act,
        string|OpeningTest $value,
        int $seconds,
    ): ReleaseCourse {
        return match (true) {
            $value instanceof OpeningTest => $course->tested($value, $seconds),
            'mark' === $act => $course->marked(ReleaseMark::from($value), $seconds),
            default => $course->positioned(ReleaseEnd::from($value)),
        };
    }

    /** How far on it is; positioning asks for nothing. */
    private static function rank(ReleaseCourse $course): int
    {
        return match ($course->place->stage) {
            ReleaseStage::Positioning => 0,
            ReleaseStage::Passive => $course->place->step,
            ReleaseStage::Test => 50,
            ReleaseStage::Active, ReleaseStage::Grasp => 51,
        };
    }

    /** @return array{opening: int, tone: ?string} */
    private static function told(OpeningTest $test): array
    {
        return ['opening' => $test->openingPercent, 'tone' => $test->tone?->value];
    }

    /**
     * @param list<ReleaseMark> $marks
     *
     * @return array{list<string>, ReleaseCourse} where it went
     */
    private function through(ReleaseCourse $course, array $marks): array
    {
        $went = [];
        foreach ($marks as $n => $mark) {
            $course = $course->marked($mark, 10 * $n);
            $went[] = $course->place->code();
        }

        return [$went, $course];
    }

    private function course(
        bool $mayRaise = true,
        bool $hasGrasp = false,
        OpeningTest $before = new OpeningTest(30),
    ): ReleaseCourse {
        return ReleaseCourse::begin(
            $this->table($mayRaise, $hasGrasp),
            new ReleaseLimits(),
            $before,
        );
    }

    private function table(bool $mayRaise, bool $hasGrasp): ReleaseTable
    {
        return new ReleaseTable(
            Cases::catalogue()->handbook()->release,
            $mayRaise,
            $hasGrasp,
        );
    }

    /** @param array<string, mixed> $asked */
    private static function inTheBrowser(array $asked): mixed
    {
        $node = proc_open(['node', __DIR__.'/release.mjs'], [['pipe', 'r'], ['pipe', 'w']], $pipes);
        self::assertIsResource($node);
        fwrite($pipes[0], json_encode($asked, \JSON_THROW_ON_ERROR));
        fclose($pipes[0]);
        $answer = (string) stream_get_contents($pipes[1]);
        proc_close($node);

        return json_decode($answer, true, 512, \JSON_THROW_ON_ERROR);
    }
}
