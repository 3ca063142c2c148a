<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\PlainDose;
use HandGarden\Core\Words\Phrase;
use PHPUnit\Framework\TestCase;

final class PlainDoseTest extends TestCase
{
    public function testFourSetsOfOneAreFourTimes(): void
    {
        self::assertSame(
            ['plain_dose.hold' => ['seconds' => 5, 'times' => 4]],
            self::said(self::dose(sets: 4, repetitions: 1, hold: 5)),
        );
    }

    public function testSeveralInASetAreToldWithTheirRounds(): void
    {
        self::assertSame(
            ['plain_dose.hold' => ['seconds' => 6, 'times' => 8], 'plain_dose.sets' => ['sets' => 2]],
            self::said(self::dose(sets: 2, repetitions: 8, hold: 6)),
        );
        self::assertSame(
            ['plain_dose.times' => ['times' => 5]],
            self::said(self::dose(sets: 1, repetitions: 5, hold: 0)),
        );
    }

    public function testWhatIsDoneOnceTakesItsTime(): void
    {
        self::assertSame(
            ['plain_dose.minutes' => ['minutes' => 3]],
            self::said(self::dose(sets: 1, repetitions: 1, hold: 0, move: 180)),
        );
        self::assertSame(
            ['plain_dose.seconds' => ['seconds' => 25]],
            self::said(self::dose(sets: 1, repetitions: 1, hold: 0, move: 25)),
        );
    }

    private static function dose(int $sets, int $repetitions, int $hold, int $move = 2): Dose
    {
        return Dose::from(
            $sets,
            $repetitions,
            1,
            $move,
            holdSeconds: $hold,
            restSeconds: 10,
        );
    }

    /** @return array<string, array<mixed>> */
    private static function said(Dose $dose): array
    {
        $said = [];
        foreach (PlainDose::of($dose)->parts as $part) {
            self::assertInstanceOf(Phrase::class, $part);
            $said[$part->code] = $part->with;
        }

        return $said;
    }
}
