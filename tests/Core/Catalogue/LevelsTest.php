<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Catalogue\Challenge;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\DoseSteps;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What makes an exercise harder beside its count, its hold and its load. */
final class LevelsTest extends TestCase
{
    private const MANY = 200;

    public function testAFasterBeatTakesLessTime(): void
    {
        $rung = self::rung('slow-two-hand-thumb-touch');
        $start = $rung->dosing->start;

        self::assertSame(40, $start->levels->at(Challenge::Beat));
        self::assertSame(63, $start->workSeconds());
        self::assertSame(42, $start->at(Challenge::Beat, 60)->workSeconds());
        self::assertSame(63, $start->at(Challenge::Beat, 60)->at(Challenge::Beat, 40)->workSeconds());
    }

    public function testShorterCallsTakeLessTime(): void
    {
        $start = self::rung('called-numbers-short')->dosing->start;

        self::assertSame(24, $start->workSeconds());
        self::assertSame(8, $start->at(Challenge::Interval, 1)->workSeconds());
    }

    public function testTheNextFingerIsHarderHoweverShortItsHold(): void
    {
        $index = self::rung('coin-still-hold')->dosing->start->withHold(10);
        $middle = $index->withHold(1)->at(Challenge::Finger, 'middle');

        self::assertTrue($index->isAtMost($middle));
        self::assertFalse($middle->isAtMost($index));
    }

    /** @return iterable<string, array{string}> */
    public static function rungs(): iterable
    {
        foreach (Cases::catalogue()->rungs() as $rung) {
            if ([] !== $rung->dosing->start->levels->all()) {
                yield $rung->id => [$rung->id];
            }
        }
    }

    /** From the easiest dose to the hardest every step is harder, and each way down is easier and ends. */
    #[DataProvider('rungs')]
    public function testStepsGoUpAndComeDownAgain(string $id): void
    {
        $rung = self::rung($id);
        $steps = new DoseSteps($rung);
        $dose = $rung->dosing->start;
        $stepsUp = 0;
        while (null !== ($up = $steps->up($dose)) && $stepsUp < self::MANY) {
            self::assertFalse($up->isAtMost($dose), $id.' grows');
            $rung->dosing->check($up, $id);
            $dose = $up;
            ++$stepsUp;
        }
        self::assertLessThan(self::MANY, $stepsUp, $id.' comes to its cap');
        foreach ($rung->dosing->progress as $spec) {
            $challenge = $spec->kind->challenge();
            if (null !== $challenge) {
                $last = $spec->levels[\count($spec->levels) - 1];
                self::assertSame($last, $dose->levels->at($challenge), $id);
            }
        }
        $stepsDown = 0;
        while (null !== ($down = $steps->down($dose)) && $stepsDown < self::MANY) {
            self::assertTrue($down->isAtMost($dose), $id.' is eased');
            $rung->dosing->check($down, $id);
            $dose = $down;
            ++$stepsDown;
        }
        self::assertLessThan(self::MANY, $stepsDown, $id.' comes to its least');
    }

    /** @return iterable<string, array{Challenge, int|string}> */
    public static function wrong(): iterable
    {
        yield 'a word for a number' => [Challenge::Beat, 'fast'];
        yield 'a word that is none' => [Challenge::Firmness, 'rock'];
    }

    #[DataProvider('wrong')]
    public function testALevelThatIsNoneIsRefused(Challenge $challenge, int|string $level): void
    {
        $this->expectException(InvalidDose::class);
        self::rung('soft-squeeze')->dosing->start->at($challenge, $level);
    }

    public function testALevelThatTheExerciseDoesNotHaveIsRefused(): void
    {
        $rung = self::rung('soft-squeeze');

        $this->expectExceptionMessage('Beat: 60 is no level of this exercise');
        $rung->dosing->check($rung->dosing->start->at(Challenge::Beat, 60), $rung->id);
    }

    public function testWhatIsKeptComesBackAsItWas(): void
    {
        foreach (self::rungs() as [$id]) {
            $start = self::rung($id)->dosing->start;
            $dose = (new DoseSteps(self::rung($id)))->up($start) ?? $start;
            $json = json_decode((string) json_encode(DoseFormat::write($dose)), true);

            self::assertTrue(DoseFormat::read(Node::root($json), $start)->isAsHardAs($dose), $id);
        }
    }

    public function testWhatWasKeptBeforeThereWereLevelsBeginsWithTheFirst(): void
    {
        $start = self::rung('soft-squeeze')->dosing->start;
        $kept = Dose::from(2, 4, 1, 3, holdSeconds: 2, restSeconds: 10);

        $today = self::rung('soft-squeeze')->dosing->today($kept);
        self::assertSame('soft', $today->levels->at(Challenge::Firmness));
        self::assertSame('soft', $start->levels->at(Challenge::Firmness));
    }

    private static function rung(string $id): Rung
    {
        return Cases::catalogue()->rung($id);
    }
}
