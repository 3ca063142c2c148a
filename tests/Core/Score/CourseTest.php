<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Score;

use HandGarden\Core\Score\Course;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class CourseTest extends TestCase
{
    public function testAMovementGoesOutToTheTellingStillAndBackTheWayItCame(): void
    {
        self::assertSame([[0, 1], [1, 0]], $this->course('palm-down-turn')->paths(null));
    }

    public function testWhatComesAfterTheTellingStillIsTheWayBack(): void
    {
        $paths = $this->course('helped-lift-hold')->paths(null);

        self::assertSame([0, 1], $paths[0]);
        self::assertSame([1, 2], $paths[\count($paths) - 1]);
    }

    public function testAFingerGoesFromTheCommonStartToItsOwnStill(): void
    {
        $course = $this->course('each-finger-lift');

        self::assertSame([0, 4], $course->paths('ring')[0]);
        self::assertSame([4], $course->paths('ring')[1], 'while it is held');
        self::assertSame([4, 0], $course->paths('ring')[2]);
    }

    public function testACourseOfStepsEndsAtItsLastStill(): void
    {
        $paths = $this->course('release-phase-thumb')->paths('3');

        self::assertNotSame([], $paths);
        self::assertSame([0, 1, 2], self::joined(array_map(
            fn (int $step): array => $this->course('long-out-breath')->atStep($step, 3),
            [0, 1, 2],
        )));
    }

    public function testACalledNumberHasItsStillAndAnExerciseWithoutNumbersHasNone(): void
    {
        self::assertSame([0, 3], $this->course('called-numbers-short')->toNumber(3));
        self::assertNull($this->course('each-finger-lift')->toNumber(3));
    }

    /** @return iterable<string, array{string}> */
    public static function rungs(): iterable
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            yield $rung->id => [$rung->id];
        }
    }

    #[DataProvider('rungs')]
    public function testEveryCueOfEveryUnitHasStillsThatAreThere(string $id): void
    {
        $rung = Cases::catalogue()->rung($id);
        foreach ([null, ...$rung->walk->units] as $unit) {
            $paths = (new Course($rung->picture(), $rung->walk))->paths($unit);
            self::assertCount(\count($rung->walk->cues), $paths);
            foreach (array_merge(...$paths) as $still) {
                self::assertArrayHasKey($still, $rung->picture()->stills);
            }
        }
    }

    /**
     * @param list<list<int>> $paths
     *
     * @return list<int>
     */
    private static function joined(array $paths): array
    {
        return array_values(array_unique(array_merge(...$paths)));
    }

    private function course(string $rungId): Course
    {
        $rung = Cases::catalogue()->rung($rungId);

        return new Course($rung->picture(), $rung->walk);
    }
}
