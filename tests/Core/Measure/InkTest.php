<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Measure\Ink\Calibration;
use HandGarden\Core\Measure\Ink\GuidedInk;
use HandGarden\Core\Measure\Ink\InkPoint;
use HandGarden\Core\Measure\Ink\InvalidInk;
use HandGarden\Core\Measure\Ink\LineGuide;
use HandGarden\Core\Measure\Ink\PathTremor;
use HandGarden\Core\Measure\Ink\PatternInk;
use HandGarden\Core\Measure\Ink\Sheet;
use HandGarden\Core\Measure\Ink\SpiralGuide;
use HandGarden\Core\Measure\Ink\TapRun;
use HandGarden\Core\Measure\Ink\WordInk;
use PHPUnit\Framework\TestCase;

final class InkTest extends TestCase
{
    private const SCALE = 4.0;

    public function testAPerfectSpiralIsOnItsGuide(): void
    {
        $guide = new SpiralGuide(400.0, 300.0, 10.0, 40.0, turns: 4.0);
        $found = self::follow(
            $guide,
            static fn (float $turn): array => self::onSpiral($guide, $turn, 0.0),
        );
        self::assertEqualsWithDelta(0.0, $found->rmsMm ?? -1.0, 0.02);
        self::assertSame(0.0, $found->offPercent);
        self::assertEqualsWithDelta(20.0, $found->seconds, 0.05);
    }

    public function testAClockThatGoesBackGivesNoSpeed(): void
    {
        $drawn = [new InkPoint(0.0, 0.0, 0.0), new InkPoint(10.0, 5.0, 0.0), new InkPoint(0.0, 10.0, 0.0)];
        $found = GuidedInk::from(new Sheet([$drawn], self::SCALE), new LineGuide(0.0, 0.0, 100.0, 0.0));

        self::assertNotNull($found);
        self::assertNull($found->speedMmPerSecond);
    }

    public function testASteadyOffsetIsTheDistance(): void
    {
        $guide = new SpiralGuide(400.0, 300.0, 30.0, 40.0, turns: 4.0);
        $found = self::follow(
            $guide,
            static fn (float $turn): array => self::onSpiral($guide, $turn, 12.0),
        );
        self::assertEqualsWithDelta(3.0, $found->rmsMm ?? -1.0, 0.05);
        self::assertEqualsWithDelta(
            100.0,
            $found->offPercent,
            1.0,
            '3 mm is more than half the width',
        );
    }

    public function testSlippingOverToTheNextTurnCountsWithTheWholeError(): void
    {
        $guide = new SpiralGuide(400.0, 300.0, 30.0, 40.0, turns: 4.0);
        $found = self::follow(
            $guide,
            static fn (float $turn): array => self::onSpiral(
                $guide,
                $turn,
                $turn > 2.0 ? min(30.0, 60.0 * ($turn - 2.0)) : 0.0,
            ),
        );
        self::assertGreaterThan(
            4.0,
            $found->rmsMm,
            'the nearest turn alone would say less than 10 pixels',
        );
    }

    public function testLineDistancesBeyondTheEndsAndAcross(): void
    {
        $line = new LineGuide(0.0, 0.0, 100.0, 0.0);
        self::assertSame(
            [5.0, -3.0, 10.0],
            array_map(
                static fn (float $d): float => round($d, 6),
                $line->distances(
                    [new InkPoint(0, 50, 5), new InkPoint(1, 10, -3), new InkPoint(2, 110, 0)],
                ),
            ),
        );
    }

    public function testAQuickScreenAndASlowOneGiveTheSameFigures(): void
    {
        $guide = new LineGuide(0.0, 100.0, 400.0, 100.0);
        $rms = [];
        foreach ([125, 60] as $rate) {
            $points = [];
            for ($i = 0; $i <= 10 * $rate; ++$i) {
                $x = 400.0 * $i / (10 * $rate);
                $points[] = new InkPoint(1000.0 * $i / $rate, $x, 100.0 + 20.0 * sin($x / 30.0));
            }
            $rms[] = GuidedInk::from(new Sheet([$points], self::SCALE), $guide)->rmsMm ?? 0.0;
        }
        self::assertEqualsWithDelta($rms[0], $rms[1], 0.01);
    }

    public function testTremorOfThePathIsFoundWhereTheScreenIsQuickEnough(): void
    {
        $shaken = static fn (float $rate, float $seconds): Sheet => new Sheet(
            [
                array_map(
                    static fn (int $i): InkPoint => new InkPoint(
                        1000.0 * $i / $rate,
                        20.0 * $i / $rate,
                        100.0 + 2.0 * self::SCALE * sin(2.0 * \M_PI * 5.5 * $i / $rate),
                    ),
                    range(0, (int) ($rate * $seconds)),
                ),
            ],
            self::SCALE,
        );

        $found = PathTremor::from($shaken(120.0, 25.0));
        self::assertNotNull($found);
        self::assertEqualsWithDelta(5.5, (float) $found->peakHz, 0.15);
        self::assertEqualsWithDelta(2.0, (float) $found->halfSwingMm(), 0.15);
        self::assertNull(PathTremor::from($shaken(40.0, 25.0)), 'too few samples a second');
        self::assertTrue(PathTremor::from($shaken(120.0, 10.0))?->isTooShort());
        self::assertNull(
            PathTremor::from(new Sheet($shaken(120.0, 25.0)->strokes)),
            'no millimetres without calibration',
        );
    }

    public function testAShrinkingLineOfLetters(): void
    {
        $even = PatternInk::from(self::letters(static fn (int $i): float => 40.0));
        self::assertEqualsWithDelta(0.0, (float) $even->trendPercent, 0.5);
        self::assertEqualsWithDelta(10.0, (float) $even->meanHeightMm, 0.3);
        $shrinking = PatternInk::from(self::letters(static fn (int $i): float => 40.0 - 2.0 * $i));
        self::assertGreaterThan(35.0, $shrinking->trendPercent);
        self::assertLessThan(
            -35.0,
            PatternInk::from(self::letters(static fn (int $i): float => 20.0 + 2.0 * $i))->trendPercent
                ?? 0.0,
            'growing is below nought',
        );
        self::assertNull(
            PatternInk::from(self::letters(static fn (int $i): float => 40.0, 2))->trendPercent,
        );
    }

    public function testAShakeDoesNotCutALetterInTwo(): void
    {
        $calm = PatternInk::from(self::letters(static fn (int $i): float => 40.0));
        $shaky = PatternInk::from(self::letters(static fn (int $i): float => 40.0, 12, 2.0));
        self::assertCount(\count($calm->heightsPixels), $shaky->heightsPixels);
    }

    public function testAWordHasSizeTimeAndLifts(): void
    {
        $word = WordInk::from(
            new Sheet(
                [
                    [new InkPoint(0, 10, 20), new InkPoint(500, 90, 60)],
                    [new InkPoint(900, 100, 20), new InkPoint(1500, 130, 50)],
                ],
                self::SCALE,
            ),
        );
        self::assertSame(
            [30.0, 10.0, 1.5, 1],
            [$word?->widthMm, $word?->heightMm, $word?->seconds, $word?->penLifts],
        );
        self::assertNull(WordInk::from(new Sheet([])));
        self::assertNull(
            WordInk::from(new Sheet([[new InkPoint(0, 10, 20), new InkPoint(500, 90, 60)]]))?->widthMm,
            'not calibrated',
        );
    }

    public function testTapsCountWhereverTheyLand(): void
    {
        $even = TapRun::from(
            array_map(static fn (int $i): array => [250.0 * $i, $i % 2], range(0, 59)),
        );
        self::assertSame([60, 60, 0], [$even->taps, $even->onTarget, $even->sameTwice]);
        self::assertEqualsWithDelta(0.0, (float) $even->rhythmPercent, 1e-9);
        self::assertEqualsWithDelta(0.0, (float) $even->slowingPercent, 1e-9);

        $slowing = [];
        for ($at = 0.0, $gap = 150.0; $at < 16_000.0; $at += $gap, $gap *= 1.03) {
            $slowing[] = [$at, null];
        }
        $tired = TapRun::from($slowing);
        self::assertSame(0, $tired->onTarget);
        self::assertLessThan(\count($slowing), $tired->taps, 'taps after 15 s do not count');
        self::assertGreaterThan(40.0, $tired->slowingPercent);
        self::assertGreaterThan(20.0, $tired->rhythmPercent);
        self::assertNull(TapRun::from([[0.0, 0]])->rhythmPercent);
    }

    public function testTheSameCircleTwiceIsNoticed(): void
    {
        $sheet = new Sheet(
            [
                [new InkPoint(5000, 100, 100)],
                [new InkPoint(5300, 104, 98)],
                [new InkPoint(5600, 300, 100)],
                [new InkPoint(5900, 200, 400)],
            ],
        );
        $run = TapRun::ofSheet($sheet, [[100.0, 100.0], [300.0, 100.0]], 40.0);
        self::assertSame([4, 3, 1], [$run->taps, $run->onTarget, $run->sameTwice]);
    }

    public function testCalibrationIsBoundToItsScreen(): void
    {
        $calibration = Calibration::ofCard(342.4, '1280x800@1');
        self::assertEqualsWithDelta(4.0, $calibration->pixelsPerMm, 1e-9);
        self::assertTrue($calibration->isFor('1280x800@1'));
        self::assertFalse($calibration->isFor('1280x800@1.25'));
        $this->expectException(InvalidInk::class);
        Calibration::ofCard(20.0, '1280x800@1');
    }

    /** @param \Closure(float): array{float, float} $place by turn */
    private static function follow(SpiralGuide $guide, \Closure $place): GuidedInk
    {
        $points = [];
        for ($i = 0; $i <= 2000; ++$i) {
            [$x, $y] = $place($guide->turns * $i / 2000);
            $points[] = new InkPoint(10.0 * $i, $x, $y);
        }

        return GuidedInk::from(new Sheet([$points], self::SCALE), $guide)
            ?? throw new \LogicException('nothing drawn');
    }

    /** @return array{float, float} */
    private static function onSpiral(SpiralGuide $guide, float $turn, float $offset): array
    {
        $radius = $guide->startRadius + $guide->pitch * $turn + $offset;

        return [
            $guide->cx + $radius * cos(2.0 * \M_PI * $turn),
            $guide->cy + $radius * sin(2.0 * \M_PI * $turn),
        ];
    }

    /** @param \Closure(int): float $height of each letter, in pixels */
    private static function letters(\Closure $height, int $count = 12, float $shake = 0.0): Sheet
    {
        $points = [];
        for ($letter = 0; $letter < $count; ++$letter) {
            for ($i = 0; $i < 50; ++$i) {
                $at = $letter + $i / 50.0;
                $points[] = new InkPoint(
                    500.0 * $at,
                    30.0 * $at,
                    200.0 - $height($letter) * 0.5 * (
                        1.0 - cos(2.0 * \M_PI * $at)
                    ) + $shake * sin(2.0 * \M_PI * 3.0 * $at),
                );
            }
        }

        return new Sheet([$points], self::SCALE);
    }
}
