<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\GroupWork;

use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\GroupWork\LeadDose;
use HandGarden\Core\GroupWork\Staffing;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The wall waits for the slowest, and somebody looks after every place. */
final class LeadDoseTest extends TestCase
{
    public function testTheSlowestHoldAndTheLongestRestLead(): void
    {
        $lead = LeadDose::of([
            Dose::from(2, 5, 1, 4, holdSeconds: 8, restSeconds: 20),
            Dose::from(1, 10, 1, 6, holdSeconds: 3, restSeconds: 40),
            Dose::from(3, 4, 1, 2, holdSeconds: 5, restSeconds: 10),
        ]);

        self::assertSame(
            [3, 10, 6, 8, 40],
            [$lead->sets, $lead->repetitions, $lead->moveSeconds, $lead->holdSeconds, $lead->restSeconds],
        );
    }

    public function testOneAloneIsLedByTheirOwnDose(): void
    {
        $own = Dose::from(2, 5, 1, 4, holdSeconds: 8, restSeconds: 20);

        self::assertEquals($own, LeadDose::of([$own]));
    }

    #[DataProvider('classes')]
    public function testSomebodyIsThereForEveryPlace(
        int $places,
        int $oneToOne,
        int $most,
        int $needed,
    ): void {
        self::assertSame($needed, (new Staffing($most))->needed($places, $oneToOne));
    }

    /** @return iterable<string, array{int, int, int, int}> places, one to one, most for one of the staff, needed */
    public static function classes(): iterable
    {
        yield 'six for one' => [6, 0, 6, 1];
        yield 'seven for two' => [7, 0, 6, 2];
        yield 'one beside, five for one' => [6, 1, 6, 2];
        yield 'all one to one' => [3, 3, 6, 3];
        yield 'a clinic that is more careful' => [6, 0, 4, 2];
        yield 'nobody' => [0, 0, 6, 0];
    }
}
