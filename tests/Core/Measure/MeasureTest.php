<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\FingerMotion;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Opening;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class MeasureTest extends TestCase
{
    public function testTotalMotionIsFlexionLessDeficitsAndHyperextensionCountsNothing(): void
    {
        $readings = $this->index(Mode::Active, [[80, -20], [95, 15], [60, 5]]);

        self::assertSame(
            80.0 + 95.0 + 60.0 - 15.0 - 5.0,
            FingerMotion::from($readings, Side::Right, Digit::Index, Mode::Active)->totalDegrees,
        );
    }

    public function testAMissingJointGivesNoTotalAndSaysWhich(): void
    {
        $motion = FingerMotion::from(
            $this->index(Mode::Active, [[80, 0], [95, 15]]),
            Side::Right,
            Digit::Index,
            Mode::Active,
        );

        self::assertNull($motion->totalDegrees);
        self::assertSame(['DIP bent', 'DIP straight'], $motion->missing);
    }

    public function testTheThumbHasTwoHinges(): void
    {
        $readings = new Readings(
            [
                $this->reading('thumb_mp_flexion', 50),
                $this->reading('thumb_mp_extension', 10),
                $this->reading('thumb_ip_flexion', 60),
                $this->reading('thumb_ip_extension', -10),
            ],
        );

        self::assertSame(
            100.0,
            FingerMotion::from($readings, Side::Right, Digit::Thumb, Mode::Active)->totalDegrees,
        );
    }

    public function testLagIsActiveLessPassiveDeficitAndNeverBelowZero(): void
    {
        $readings = new Readings([
            $this->reading('index_pip_extension', 40), $this->reading(
                'index_pip_extension',
                10,
                Mode::Passive,
            ),
            $this->reading('index_mcp_extension', 0), $this->reading(
                'index_mcp_extension',
                4,
                Mode::Passive,
            ),
            $this->reading('index_dip_extension', 0), $this->reading(
                'index_dip_extension',
                12,
                Mode::Passive,
            ),
        ]);
        $motion = FingerMotion::from($readings, Side::Right, Digit::Index, Mode::Active);

        self::assertSame(['mcp' => 0.0, 'pip' => 30.0, 'dip' => 0.0], $motion->lagDegrees);
        self::assertSame(
            ['DIP'],
            $motion->toRemeasure,
            'passive clearly less than active: measure again',
        );
    }

    public function testOpeningNeedsAllFourFingersElseTheEyeCounts(): void
    {
        $fingers = [];
        foreach (['index', 'middle', 'ring'] as $finger) {
            foreach (['mcp', 'pip', 'dip'] as $joint) {
                $fingers[] = $this->reading($finger.'_'.$joint.'_extension', 27);
            }
        }
        $byEye = $this->reading('opening', 20);
        self::assertSame(
            20.0,
            Opening::ofHand(new Readings([...$fingers, $byEye]), Side::Right, Mode::Active)?->value,
        );
        foreach (['mcp', 'pip', 'dip'] as $joint) {
            $fingers[] = $this->reading('little_'.$joint.'_extension', 27);
        }
        self::assertEqualsWithDelta(
            70.0,
            Opening::ofHand(new Readings([$byEye, ...$fingers]), Side::Right, Mode::Active)->value
                ?? 0.0,
            1e-9,
        );
    }

    /** @return iterable<string, array{array<int, float>, ?float}> */
    public static function releaseAngles(): iterable
    {
        yield 'between two angles' => [[-60 => 50.0, -30 => 30.0], -45.0];
        yield 'met at the most extended angle' => [[-30 => 60.0, 0 => 45.0], 0.0];
        yield 'one angle only' => [[0 => 80.0], null];
        yield 'first crossing from the extended side' => [
            [-60 => 80.0, -30 => 45.0, 0 => 30.0, 30 => 10.0],
            -20.0,
        ];
    }

    /** @param array<int, float> $opening */
    #[DataProvider('releaseAngles')]
    public function testTheReleaseAngleIsWhereTheHandLetsGo(array $opening, ?float $expected): void
    {
        self::assertSame($expected, Opening::releaseAngle($opening));
    }

    public function testAHandThatNeverOpensEnoughHasNoReleaseAngle(): void
    {
        self::assertNan((float) Opening::releaseAngle([-60 => 30.0, 0 => 10.0]));
    }

    public function testOpeningStaysWithinBoundsAndFallsWithEveryDeficit(): void
    {
        $before = 100.0;
        for ($deficit = -40.0; $deficit <= 400.0; $deficit += 7.0) {
            $opening = Opening::fromDeficits($deficit);
            self::assertGreaterThanOrEqual(0.0, $opening);
            self::assertLessThanOrEqual($before, $opening);
            $before = $opening;
        }
    }

    public function testOfTwoReadingsOnOneDayTheLaterCounts(): void
    {
        $readings = new Readings(
            [$this->reading('opposition_0to10', 3), $this->reading('opposition_0to10', 6)],
        );

        self::assertSame(
            6.0,
            $readings->newest('opposition_0to10', Side::Right, Mode::Active)?->value,
        );
        self::assertCount(2, $readings->history('opposition_0to10', Side::Right, Mode::Active));
    }

    /** @param list<array{int, int}> $joints flexion and extension of MCP, PIP, DIP */
    private function index(Mode $mode, array $joints): Readings
    {
        $readings = [];
        foreach ($joints as $i => [$flexion, $extension]) {
            $joint = ['mcp', 'pip', 'dip'][$i];
            $readings[] = $this->reading('index_'.$joint.'_flexion', $flexion, $mode);
            $readings[] = $this->reading('index_'.$joint.'_extension', $extension, $mode);
        }

        return new Readings($readings);
    }

    private function reading(string $code, int $value, Mode $mode = Mode::Active): Reading
    {
        return new Reading(
            $code,
            Side::Right,
            $mode,
            null,
            value: (float) $value,
            on: new \DateTimeImmutable('2026-11-20'),
        );
    }
}
