<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Needed;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Pace;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProgressSettings;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Progress\StepTaken;
use HandGarden\Core\Routine\MeasureFirst;
use HandGarden\Core\Routine\Priorities;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What an exercise begins with, what is measured for it, and how soon it may grow. */
final class BeginningTest extends TestCase
{
    /** @return iterable<string, array{?float, int}> measured seconds, first hold */
    public static function holds(): iterable
    {
        yield 'nobody looked' => [null, 1];
        yield 'shorter than the exercise begins with' => [3.9, 3];
        yield 'as long' => [5.0, 5];
        yield 'longer' => [9.0, 5];
        yield 'nothing' => [0.0, 1];
    }

    #[DataProvider('holds')]
    public function testAFirstHoldStaysUnderWhatWasMeasured(?float $measured, int $hold): void
    {
        $dosing = Cases::catalogue()->rung('coin-still-hold')->dosing;

        self::assertSame($hold, $dosing->first($measured)->holdSeconds);
    }

    public function testWhatIsMeasuredFirstDecidesMostOfWhatMattersInASecond(): void
    {
        $case = Cases::example('worked/22-neglect');
        $placed = (new Placer(Cases::catalogue()))->place($case->facts, $case->today);
        $known = new KnownFacts($case->facts, Cases::catalogue()->vocabulary, $case->today);
        $priorities = new Priorities(Cases::catalogue(), $case->goals, $known);
        $first = (new MeasureFirst($priorities))->first($placed->needed);
        $worth = static fn (Needed $n): float => array_sum(array_map(
            static fn (array $of): int => $priorities->ofLadder(...$of)->total(),
            $n->decides,
        )) / $n->seconds;
        $rates = array_map($worth, $first);
        $sorted = $rates;
        rsort($sorted);

        self::assertNotSame([], $first);
        self::assertLessThanOrEqual(MeasureFirst::MOST, \count($first));
        self::assertSame($sorted, $rates);
        self::assertNotContains(0.0, $rates, 'what decides nothing that matters is not asked');
    }

    public function testStepsOfAWeekAreCountedByItemAndPartAndInAll(): void
    {
        $today = new \DateTimeImmutable('2026-11-20');
        $lift = $this->item('helped-lift-hold');
        $allows = fn (int $many, string $on): bool => (new Pace(
            Cases::catalogue(),
            new ProgressSettings(),
            array_fill(0, $many, new StepTaken('helped-lift-hold|right', new \DateTimeImmutable($on))),
            $today,
        ))->allows($lift, $this->step($lift));

        self::assertContains(ArmPart::Wrist, $lift->rung->demands->works->strained());
        self::assertTrue($allows(1, '2026-11-17'));
        self::assertFalse($allows(2, '2026-11-17'));
        self::assertTrue($allows(2, '2026-11-13'), 'the week is over');
    }

    private function item(string $id): Prescribed
    {
        $rung = Cases::catalogue()->rung($id);

        return new Prescribed($rung, Hands::fromSide(Side::Right), $rung->dosing->start);
    }

    private function step(Prescribed $item): Proposal
    {
        return new Proposal(
            ProposalKind::Advance,
            'advance.hold-count',
            Phrase::own(''),
            ['1'],
            rungId: $item->rung->id,
            hands: $item->hands,
        );
    }
}
