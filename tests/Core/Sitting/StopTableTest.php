<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Sitting;

use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Sitting\Sign;
use HandGarden\Core\Sitting\SignAsks;
use HandGarden\Core\Sitting\Stops;
use HandGarden\Core\Sitting\StopTable;
use HandGarden\Core\Sitting\Wrong;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class StopTableTest extends TestCase
{
    /** @return iterable<string, array{Wrong, Stops, Stops, ?AlertKind}> what stops now, what is held, who is told */
    public static function signs(): iterable
    {
        $everything = [Stops::Everything, Stops::Everything];
        yield 'face, arm, speech' => [
            new Wrong(Sign::Stroke),
            ...$everything,
            AlertKind::Emergency,
        ];
        yield 'a fit' => [
            new Wrong(Sign::Fit),
            ...$everything,
            AlertKind::Emergency,
        ];
        yield 'dizzy' => [
            new Wrong(Sign::Dizzy, null, false),
            ...$everything,
            AlertKind::Stop,
        ];
        yield 'dizzy, and not sure whether the chest hurts' => [
            new Wrong(Sign::Dizzy),
            ...$everything,
            AlertKind::Emergency,
        ];
        yield 'a little pain' => [
            new Wrong(Sign::Pain, 3),
            Stops::Item,
            Stops::Nothing,
            null,
        ];
        yield 'some pain' => [
            new Wrong(Sign::Pain, 6),
            Stops::Part,
            Stops::Nothing,
            null,
        ];
        yield 'strong pain' => [
            new Wrong(Sign::Pain, 7),
            Stops::Part,
            Stops::Part,
            AlertKind::Part,
        ];
        yield 'pain of which nobody said how strong' => [
            new Wrong(Sign::Pain),
            Stops::Part,
            Stops::Part,
            AlertKind::Part,
        ];
        yield 'tingling as always' => [
            new Wrong(
                Sign::Tingling,
                null,
                false,
            ),
            Stops::Item,
            Stops::Nothing,
            null,
        ];
        yield 'tingling, maybe new' => [
            new Wrong(
                Sign::Tingling,
            ),
            Stops::Item,
            Stops::Item,
            AlertKind::Part,
        ];
        yield 'upset' => [
            new Wrong(Sign::Upset),
            Stops::Sitting,
            Stops::Nothing,
            AlertKind::Human,
        ];
        yield 'fever' => [
            new Wrong(Sign::Ill, null, false),
            Stops::Sitting,
            Stops::Nothing,
            null,
        ];
        yield 'a mark' => [
            new Wrong(Sign::Skin, null, true),
            Stops::Item,
            Stops::Item,
            AlertKind::Wear,
        ];
    }

    #[DataProvider('signs')]
    public function testASignStopsAndHoldsAndTells(
        Wrong $wrong,
        Stops $stops,
        Stops $holds,
        ?AlertKind $alert,
    ): void {
        $then = $wrong->consequence(new StopTable(new ProgressSettings()));

        self::assertSame([$stops, $holds, $alert], [$then->stops, $then->holds, $then->alert]);
        self::assertSame(AlertKind::Emergency === $alert, $then->calls);
    }

    public function testMorePainNeverStopsLessAndNotSureIsTheWorseAnswer(): void
    {
        $table = new StopTable(new ProgressSettings());
        $rank = static fn (Stops $s): int|false => array_search($s, Stops::cases(), true);
        foreach (range(1, 10) as $strength) {
            $less = $table->of(Sign::Pain, $strength - 1);
            $more = $table->of(Sign::Pain, $strength);
            self::assertGreaterThanOrEqual($rank($less->stops), $rank($more->stops));
            self::assertGreaterThanOrEqual($rank($less->holds), $rank($more->holds));
        }
        foreach (Sign::cases() as $sign) {
            if (SignAsks::Doubt === $sign->asks()) {
                self::assertEquals($table->of($sign, null, true), $table->of($sign));
            }
        }
    }

    public function testOfEverySignSomethingStopsButOfNoPain(): void
    {
        foreach ((new StopTable(new ProgressSettings()))->rows() as [$sign, $strength, , $then]) {
            self::assertSame(Sign::Pain === $sign && 0 === $strength, Stops::Nothing === $then->stops);
        }
    }
}
