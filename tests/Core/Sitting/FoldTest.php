<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Sitting;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Progress\Compensation;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Noticed;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Symptoms;
use HandGarden\Core\Progress\Told;
use HandGarden\Core\Progress\ToneAfter;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Core\Sitting\Fold;
use HandGarden\Core\Sitting\ItemEvent;
use HandGarden\Core\Sitting\Sign;
use HandGarden\Core\Sitting\Wrong;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** The same events give the same record, whatever their order and however often they come. */
final class FoldTest extends TestCase
{
    public function testNothingToldIsNoRecord(): void
    {
        self::assertNull(Fold::item([]));
        self::assertNull(Fold::item([self::event(1, null)]), 'late pain of an item that nobody logged');
    }

    public function testALaterLineSaysWhatWasDoneAndTheDayStaysTheFirst(): void
    {
        $folded = Fold::item([
            self::event(2, new Told(Outcome::Done, repetitions: 8), '2026-11-21'),
            self::event(1, new Told(Outcome::Part, repetitions: 3), '2026-11-20'),
        ]);

        self::assertSame(Outcome::Done, $folded?->told->outcome);
        self::assertSame(8, $folded->told->repetitions);
        self::assertSame('2026-11-20', $folded->day->format('Y-m-d'));
    }

    public function testWhatHurtIsNotTakenBack(): void
    {
        $told = Fold::item([
            self::event(1, new Told(
                Outcome::Part,
                painBefore: 1,
                painAfter: 6,
                tone: ToneAfter::Tighter,
                compensations: [Compensation::TrunkLean],
                newTingling: true,
            )),
            self::event(2, new Told(Outcome::Done, painBefore: 2, painAfter: 2, tone: ToneAfter::Looser)),
            self::event(3, null),
        ])?->told;

        self::assertNotNull($told);
        self::assertSame([1, 6], [$told->painBefore, $told->painAfter]);
        self::assertSame(ToneAfter::Tighter, $told->tone);
        self::assertSame([Compensation::TrunkLean], $told->compensations);
        self::assertTrue($told->newTingling);
        self::assertTrue($told->hurtLater);
    }

    public function testAMarkForAWholeClassStandsBehindEveryWordOfItsOwn(): void
    {
        $marked = new Told(Outcome::Done, asShown: true);
        $own = new Told(Outcome::Part, repetitions: 3);
        foreach ([[1, 2], [2, 1]] as [$first, $second]) {
            $told = Fold::item([self::event($first, $own), self::event($second, $marked)])?->told;
            self::assertSame(Outcome::Part, $told?->outcome);
            self::assertFalse($told->asShown);
        }
        self::assertTrue(Fold::item([self::event(1, $marked)])?->told->asShown);
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 40; ++$seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testAnyOrderAndAnyRepetitionGiveTheSameRecord(int $seed): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $events = self::events($random);
        $once = Fold::item($events);
        for ($try = 0; $try < 10; ++$try) {
            $again = $events;
            foreach ($events as $event) {
                if (0 === $random->getInt(0, 2)) {
                    $again[] = $event;
                }
            }

            self::assertEquals($once, Fold::item($random->shuffleArray($again)));
        }
    }

    public function testOfRunningTotalsTheLargestCountsUnlessTheLineSaysOtherwise(): void
    {
        $counted = static fn (int $minute, int $total): ItemEvent => new ItemEvent(
            'counted-'.$minute,
            EventKind::Counted,
            new \DateTimeImmutable('2026-11-20 09:0'.$minute),
            new \DateTimeImmutable('2026-11-20'),
            totals: ['repetitions' => $total, 'drops' => 1],
        );
        $line = self::event(5, new Told(Outcome::Done));

        $told = Fold::item([$counted(1, 3), $counted(3, 5), $counted(2, 4), $line])?->told;
        self::assertSame([5, 1], [$told?->repetitions, $told?->drops]);

        $said = Fold::item([$counted(1, 3), self::event(5, new Told(Outcome::Done, repetitions: 2))]);
        self::assertSame(2, $said?->told->repetitions);
        self::assertNull(Fold::item([$counted(1, 3)]), 'counted, and nothing told yet');
    }

    public function testSomethingWrongMakesItAPartUnlessALineSaysWhatWasDone(): void
    {
        $wrong = new ItemEvent(
            'wrong',
            EventKind::Wrong,
            new \DateTimeImmutable('2026-11-20 09:06'),
            new \DateTimeImmutable('2026-11-20'),
            told: (new Wrong(Sign::Pain, 8))->told(),
        );
        $done = self::event(5, new Told(Outcome::Done, painAfter: 1));

        self::assertSame(Outcome::Part, Fold::item([$wrong])?->told->outcome);
        $both = Fold::item([$wrong, $done])?->told;
        self::assertSame([Outcome::Done, 8], [$both?->outcome, $both?->painAfter]);
    }

    #[DataProvider('seeds')]
    public function testNoEventMakesASymptomGoAway(int $seed): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $events = self::events($random);
        $symptoms = new Symptoms(new ProgressSettings());
        foreach ($events as $event) {
            $alone = Fold::item([$event])?->told;
            $all = Fold::item($events)?->told;
            if (null !== $alone && null !== $all && $symptoms->any(self::line($alone))) {
                self::assertTrue($symptoms->any(self::line($all)), 'seed '.$seed);
            }
        }
        $this->addToAssertionCount(1);
    }

    /** @return list<ItemEvent> */
    private static function events(Randomizer $random): array
    {
        $events = [];
        for ($i = 0; $i < 5; ++$i) {
            $told = 4 === $random->getInt(0, 4) ? null : new Told(
                Outcome::cases()[$random->getInt(0, 2)],
                repetitions: $random->getInt(0, 9),
                painBefore: $random->getInt(0, 10),
                painAfter: $random->getInt(0, 10),
                tone: ToneAfter::cases()[$random->getInt(0, 2)],
                fatigue: $random->getInt(0, 10),
                newTingling: 0 === $random->getInt(0, 5),
            );
            // now and then two of them in the same second
            $events[] = self::event($random->getInt(1, 4), $told, id: 'event-'.$i);
        }
        for ($i = 0; $i < 4; ++$i) {
            $events[] = self::beside($random, $i);
        }

        return $events;
    }

    /** What is told beside the lines: a total, an answer, a sign, the pain at the end. */
    private static function beside(Randomizer $random, int $nth): ItemEvent
    {
        $kind = [EventKind::Counted, EventKind::Noticed, EventKind::Wrong, EventKind::After][$random->getInt(
            0,
            3,
        )];
        $sign = Sign::cases()[$random->getInt(0, \count(Sign::cases()) - 1)];

        return new ItemEvent(
            'beside-'.$nth,
            $kind,
            new \DateTimeImmutable('2026-11-20 09:0'.$random->getInt(1, 4)),
            new \DateTimeImmutable('2026-11-20'),
            told: EventKind::Wrong === $kind
                ? (new Wrong($sign, $random->getInt(0, 10), 0 === $random->getInt(0, 1)))->told()
                : null,
            totals: EventKind::Counted === $kind ? ['repetitions' => $random->getInt(0, 9)] : [],
            noticed: EventKind::Noticed === $kind
                ? ['warmer' => Noticed::cases()[$random->getInt(0, 3)]]
                : [],
            pain: EventKind::After === $kind ? $random->getInt(0, 10) : null,
        );
    }

    private static function event(
        int $minute,
        ?Told $told,
        string $day = '2026-11-20',
        ?string $id = null,
    ): ItemEvent {
        return new ItemEvent(
            $id ?? 'at-'.$minute,
            null === $told ? EventKind::HurtLater : EventKind::Line,
            new \DateTimeImmutable('2026-11-20 09:0'.$minute),
            new \DateTimeImmutable($day),
            told: $told,
        );
    }

    private static function line(Told $told): LogLine
    {
        $rung = Cases::catalogue()->rung('pressed-lift-hold');

        return LogLine::from(
            'line',
            'sitting',
            new ItemKey($rung->id, Hands::Right),
            $rung->dosing->start,
            day: new \DateTimeImmutable('2026-11-20'),
            told: $told,
        );
    }
}
