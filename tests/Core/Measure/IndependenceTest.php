<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Measure;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Independence;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Readings;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

final class IndependenceTest extends TestCase
{
    public function testAFingerThatMovesAloneHasOne(): void
    {
        self::assertSame(
            1.0,
            self::index(['index' => 3, 'thumb' => 0, 'middle' => 0, 'ring' => 0, 'little' => 0]),
        );
    }

    public function testMarksOfTheOthersTakeAway(): void
    {
        self::assertEqualsWithDelta(
            1.0 - (2 + 1 + 1) / 4 / 3,
            self::index(['index' => 3, 'thumb' => 0, 'middle' => 2, 'ring' => 1, 'little' => 1]),
            1e-9,
        );
        self::assertSame(
            0.0,
            self::index(['index' => 3, 'thumb' => 3, 'middle' => 3, 'ring' => 3, 'little' => 3]),
        );
    }

    public function testNoIndexWhenTheAskedOneDoesNotGoAllTheWayOrOneWasNotLookedAt(): void
    {
        self::assertNull(
            self::index(['index' => 2, 'thumb' => 0, 'middle' => 0, 'ring' => 0, 'little' => 0]),
        );
        self::assertNull(self::index(['index' => 3, 'thumb' => 0, 'middle' => 0, 'ring' => 0]));
        self::assertSame(
            'needs little',
            Said::of(Independence::byEye(
                self::readings(['index' => 3, 'thumb' => 0, 'middle' => 0, 'ring' => 0]),
                Side::Right,
            )->why['index']),
        );
        self::assertSame(
            'not measured',
            Said::of(Independence::byEye(self::readings([]), Side::Right)->why['ring']),
        );
    }

    public function testInDegreesMoreThanTheAskedOneIsShownAsNought(): void
    {
        $map = Independence::inDegrees(
            [
                'index' => [
                    'thumb' => -2.0,
                    'index' => -40.0,
                    'middle' => 20.0,
                    'ring' => 10.0,
                    'little' => 0.0,
                ],
                'ring' => [
                    'thumb' => 0.0,
                    'index' => 30.0,
                    'middle' => 60.0,
                    'ring' => 12.0,
                    'little' => 60.0,
                ],
                'little' => [
                    'thumb' => 0.0,
                    'index' => 0.0,
                    'middle' => 0.0,
                    'ring' => 5.0,
                    'little' => 9.0,
                ],
            ],
        );
        self::assertEqualsWithDelta(
            1.0 - (0.05 + 0.5 + 0.25) / 4,
            (float) $map->index['index'],
            1e-9,
        );
        self::assertSame(0.0, $map->index['ring']);
        self::assertNull($map->index['little']);
        self::assertStringContainsString('less than 10 degrees', Said::of($map->why['little']));
    }

    public function testOneMoreMovingFingerNeverRaisesTheIndex(): void
    {
        $noise = new Noise(3);
        for ($i = 0; $i < 200; ++$i) {
            $marks = [
                'index' => 3,
                'thumb' => (int) $noise->between(0, 3),
                'middle' => (int) $noise->between(0, 3),
                'ring' => (int) $noise->between(0, 3),
                'little' => (int) $noise->between(0, 3),
            ];
            $more = ['ring' => min(3, $marks['ring'] + 1)] + $marks;
            self::assertLessThanOrEqual(self::index($marks), self::index($more));
        }
    }

    /** @param array<string, int> $marks */
    private static function index(array $marks): ?float
    {
        return Independence::byEye(self::readings($marks), Side::Right)->index['index'];
    }

    /** @param array<string, int> $marks */
    private static function readings(array $marks): Readings
    {
        $readings = [];
        foreach ($marks as $digit => $mark) {
            $readings[] = new Reading(
                'along',
                Side::Right,
                null,
                'index>'.$digit,
                value: (float) $mark,
                on: new \DateTimeImmutable('2026-11-20'),
            );
        }

        return new Readings($readings);
    }
}
