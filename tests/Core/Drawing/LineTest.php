<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Drawing;

use HandGarden\Core\Drawing\Frame;
use HandGarden\Core\Drawing\PathData;
use HandGarden\Core\Drawing\Polyline;
use HandGarden\Core\Drawing\Vector;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What is done to a line between the hulls of the hand and the path of the picture. */
final class LineTest extends TestCase
{
    public function testLengthAndAreaOfASquare(): void
    {
        $square = [[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]];

        self::assertSame(30.0, Polyline::length($square), 'an open line');
        self::assertSame(100.0, Polyline::area($square));
        self::assertSame(100.0, Polyline::area(array_reverse($square)), 'whichever way round');
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testResampledPointsLieOnTheLineAtEvenDistances(int $seed): void
    {
        $line = self::wandering(new Randomizer(new Mt19937($seed)));
        $even = Polyline::resample($line, 1.5);

        self::assertSame($line[0], $even[0]);
        self::assertEqualsWithDelta($line[\count($line) - 1], $even[\count($even) - 1], 1e-9);
        for ($i = 1; $i < \count($even) - 2; ++$i) {
            self::assertLessThanOrEqual(
                1.5 + 1e-6,
                hypot($even[$i][0] - $even[$i - 1][0], $even[$i][1] - $even[$i - 1][1]),
            );
            self::assertLessThan(1e-6, self::distance($even[$i], $line));
        }
    }

    #[DataProvider('seeds')]
    public function testASimplifiedLineStaysWithinTheToleranceOfTheOldOne(int $seed): void
    {
        $line = self::wandering(new Randomizer(new Mt19937($seed)));
        $thin = Polyline::simplify($line, .4);

        self::assertLessThanOrEqual(\count($line), \count($thin));
        self::assertSame([$line[0], $line[\count($line) - 1]], [$thin[0], $thin[\count($thin) - 1]]);
        foreach ($line as $point) {
            self::assertLessThanOrEqual(.4 + 1e-9, self::distance($point, $thin));
        }
    }

    #[DataProvider('seeds')]
    public function testPathDataDoesNotDrift(int $seed): void
    {
        $line = self::wandering(new Randomizer(new Mt19937($seed)));
        $points = self::read(PathData::from($line, false));
        $end = $points[\count($points) - 1];

        self::assertEqualsWithDelta(
            $line[\count($line) - 1][0],
            $end[0],
            .05 + 1e-9,
            'half of a tenth, however long the line',
        );
        self::assertEqualsWithDelta($line[\count($line) - 1][1], $end[1], .05 + 1e-9);
    }

    public function testPathDataIsAsShortAsItCanBe(): void
    {
        self::assertSame(
            'M0 0l10 0 0 10-10 0Z',
            PathData::from([[0.0, 0.0], [10.0, 0.0], [10.0, 10.0], [0.0, 10.0]]),
        );
        self::assertSame(
            'M1.5-2l.5-.5',
            str_replace(' -', '-', PathData::from([[1.5, -2.0], [2.0, -2.5]], false)),
        );
        self::assertSame('', PathData::from([[1.0, 1.0]]), 'a point is no line');
        self::assertSame(
            ['0', '-0.5', '12', '3.1'],
            array_map(PathData::number(...), [-0.04, -0.5, 12.0, 3.14]),
        );
    }

    public function testAnInkStrokeIsAsWideAsItIsToldOnBothSides(): void
    {
        $points = self::read(
            PathData::ribbon([[0.0, 0.0], [5.0, 0.0], [10.0, 0.0]], static fn (): float => 2.0),
        );

        self::assertEqualsWithDelta(
            [-1.0, 1.0],
            [min(array_column($points, 1)), max(array_column($points, 1))],
            1e-9,
        );
        self::assertEqualsWithDelta(
            [0.0, 10.0],
            [min(array_column($points, 0)), max(array_column($points, 0))],
            1e-9,
        );
    }

    public function testSofteningHardPartsRoundsKinksButKeepsThePlace(): void
    {
        $kink = array_map(
            static fn (int $i): array => [(float) $i, (float) abs($i), 0.0, 0.0, 1.0, 0.0, 0.0],
            range(-10, 10),
        );
        $soft = Polyline::soften($kink, false);

        self::assertGreaterThan(.3, $soft[10][1], 'the kink is rounded');
        self::assertSame([$kink[0][0], $kink[0][1]], [$soft[0][0], $soft[0][1]]);
        self::assertEqualsWithDelta($kink[2][1], $soft[2][1], .05, 'far from it nothing moves');
    }

    #[DataProvider('seeds')]
    public function testAJointTurnedAnyWayKeepsRightAnglesAndTurnsBack(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $frame = new Frame();
        $turns = [];
        for ($i = 0; $i < 6; ++$i) {
            $turn = ['flex', 'roll', 'tilt'][$random->getInt(0, 2)];
            $turns[] = [$turn, self::between($random, -120, 120)];
            $frame = self::turned($frame, ...$turns[$i]);
        }
        foreach (
            [[$frame->x, $frame->y], [$frame->y, $frame->z], [$frame->z, $frame->x]] as [$p, $q]
        ) {
            self::assertEqualsWithDelta(0.0, Vector::dot($p, $q), 1e-9);
            self::assertEqualsWithDelta(1.0, Vector::length($p), 1e-9);
        }
        self::assertEqualsWithDelta(
            $frame->z,
            Vector::cross($frame->x, $frame->y),
            1e-9,
            'a right hand stays a right hand',
        );
        foreach (array_reverse($turns) as [$turn, $degrees]) {
            $frame = self::turned($frame, $turn, -$degrees);
        }
        self::assertEqualsWithDelta((new Frame())->y, $frame->y, 1e-9);
    }

    public function testFlexionGoesToThePalm(): void
    {
        self::assertEqualsWithDelta([0.0, 0.0, 1.0], (new Frame())->flex(90)->y, 1e-12);
        self::assertEqualsWithDelta(
            [-1.0, 0.0, 0.0],
            (new Frame())->tilt(90)->y,
            1e-12,
            'tilt is ulnar, away from the thumb',
        );
        self::assertEqualsWithDelta(
            [1.0, 0.0, 0.0],
            (new Frame())->roll(90)->z,
            1e-12,
            'the palm turns to the thumb side',
        );
    }

    private static function turned(Frame $frame, string $turn, float $degrees): Frame
    {
        return match ($turn) {
            'flex' => $frame->flex($degrees),
            'roll' => $frame->roll($degrees),
            default => $frame->tilt($degrees),
        };
    }

    private static function between(Randomizer $random, float $from, float $to): float
    {
        return $from + ($to - $from) * $random->getInt(0, 1_000_000) / 1_000_000;
    }

    /** @return non-empty-list<array{float, float}> */
    private static function wandering(Randomizer $random): array
    {
        $line = [[0.0, 0.0]];
        for ($i = 1; $i < 60; ++$i) {
            $line[] = [
                $line[$i - 1][0] + self::between($random, .05, 2),
                $line[$i - 1][1] + self::between($random, -1, 1),
            ];
        }

        return $line;
    }

    /**
     * @param array{float, float}       $point
     * @param list<array{float, float}> $line
     */
    private static function distance(array $point, array $line): float
    {
        $best = \INF;
        for ($i = 1; $i < \count($line); ++$i) {
            [$ax, $ay] = $line[$i - 1];
            [$dx, $dy] = [$line[$i][0] - $ax, $line[$i][1] - $ay];
            $t = max(
                0.0,
                min(
                    1.0,
                    (
                        ($point[0] - $ax) * $dx + ($point[1] - $ay) * $dy
                    ) / max(1e-12, $dx * $dx + $dy * $dy),
                ),
            );
            $best = min($best, hypot($point[0] - $ax - $t * $dx, $point[1] - $ay - $t * $dy));
        }

        return $best;
    }

    /** @return non-empty-list<array{float, float}> the points a drawing program would reach */
    private static function read(string $data): array
    {
        preg_match_all('/-?(?:\d+\.\d+|\.\d+|\d+)/', $data, $numbers);
        $values = array_map(floatval(...), $numbers[0]);
        $points = [[$values[0], $values[1]]];
        for ($i = 2; $i < \count($values) - 1; $i += 2) {
            $last = $points[\count($points) - 1];
            $points[] = [$last[0] + $values[$i], $last[1] + $values[$i + 1]];
        }

        return $points;
    }
}
