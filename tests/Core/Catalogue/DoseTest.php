<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Catalogue;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DoseTest extends TestCase
{
    /** @return iterable<string, array{\Closure(): Dose}> */
    public static function impossible(): iterable
    {
        yield 'no set' => [
            static fn (): Dose => Dose::from(0, 5, 1, 4, holdSeconds: 0, restSeconds: 0),
        ];
        yield 'no repetition' => [static fn (): Dose => Dose::from(
            1,
            0,
            1,
            4,
            holdSeconds: 0,
            restSeconds: 0,
        )];
        yield 'a negative hold' => [static fn (): Dose => Dose::from(
            1,
            5,
            1,
            4,
            holdSeconds: -1,
            restSeconds: 0,
        )];
        yield 'a load that is no number' => [static fn (): Dose => Dose::from(
            1,
            5,
            1,
            4,
            holdSeconds: 0,
            restSeconds: 0,
            loadKilograms: \NAN,
        )];
        yield 'changed to nothing' => [
            static fn (): Dose => Dose::from(
                1,
                5,
                1,
                4,
                holdSeconds: 0,
                restSeconds: 0,
            )->withRepetitions(0),
        ];
    }

    /** @param \Closure(): Dose $make */
    #[DataProvider('impossible')]
    public function testAnImpossibleDoseCannotBeMade(\Closure $make): void
    {
        $this->expectException(InvalidDose::class);
        $make();
    }

    public function testTheRangeNamesFieldAndLimits(): void
    {
        $rung = Cases::catalogue()->rung('helped-lift-hold');
        $rung->dosing->range->check($rung->dosing->start, $rung->name);
        $this->expectExceptionMessage('Hold of Helped lift and hold: 30 is outside 1..10');
        $rung->dosing->range->check($rung->dosing->start->withHold(30), $rung->name);
    }

    public function testClampingBringsAnyDoseIntoTheRange(): void
    {
        $rung = Cases::catalogue()->rung('weighted-wrist-lift');
        $wild = Dose::from(9, 99, 1, 60, holdSeconds: 60, restSeconds: 30, loadKilograms: 5.0);

        $rung->dosing->range->check($rung->dosing->range->clamp($wild), $rung->name);
        self::assertSame(0.5, $rung->dosing->range->clamp($wild)->loadKilograms);
    }

    public function testADoseComesBackFromItsFormAsItWas(): void
    {
        $dose = Dose::from(2, 8, 3, 4, holdSeconds: 5, restSeconds: 10, loadKilograms: 0.25);

        self::assertEquals(
            $dose,
            DoseFormat::read(
                Node::root(DoseFormat::write($dose)),
                Dose::from(1, 1, 1, 1, holdSeconds: 0, restSeconds: 0),
            ),
        );
        self::assertEquals(
            $dose->withHold(7),
            DoseFormat::read(Node::root(['hold' => 7]), $dose),
            'what is not named stays',
        );
        $this->expectException(InvalidData::class);
        $this->expectExceptionMessage('dose.reps: is not known here');
        DoseFormat::read(Node::root(['reps' => 7], 'dose'), $dose);
    }

    public function testAtMostComparesEveryPart(): void
    {
        $dose = Dose::from(2, 8, 1, 4, holdSeconds: 5, restSeconds: 0, loadKilograms: 0.25);

        self::assertTrue($dose->isAtMost($dose));
        foreach (
            [$dose->withSets(1), $dose->withRepetitions(7), $dose->withHold(4), $dose->withLoad(
                0.0,
            )] as $less
        ) {
            self::assertTrue($less->isAtMost($dose));
            self::assertFalse($dose->isAtMost($less));
        }
    }
}
