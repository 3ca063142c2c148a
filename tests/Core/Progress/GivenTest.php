<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

final class GivenTest extends TestCase
{
    public function testWhatTheLogAsksForHoldsDownUntilItIsAnswered(): void
    {
        $item = $this->item();
        $lower = $item->dose->withHold(4)->withSets(1);
        $given = $this->given([$this->proposal(ProposalKind::Ease, $lower)], [$item], 9);

        self::assertSame(4, $given[0]->dose->holdSeconds);
        self::assertSame(
            3,
            $given[0]->dose->sets,
            'how often it is done is the routine’s own',
        );
        self::assertSame('variant.eased', $given[0]->variant?->code);
        self::assertEquals(
            [$item],
            $this->given([], [$item], 9),
            'answered: the dose of record',
        );
    }

    public function testNothingIsEverMadeHarderByItself(): void
    {
        $item = $this->item();
        foreach (ProposalKind::cases() as $kind) {
            $harder = $this->proposal($kind, $item->dose->withHold(9)->withRepetitions(12));
            $given = $this->given([$harder], [$item], 9)[0];
            self::assertTrue($given->dose->isAtMost($item->dose), $kind->value);
        }
    }

    public function testAtItsLeastDoseAPainfulItemRestsUntilItIsAnswered(): void
    {
        $item = $this->item();
        $below = new Proposal(
            ProposalKind::RungBelow,
            'ease.pain',
            Phrase::own('test'),
            ['1'],
            rungId: $item->rung->id,
            hands: $item->hands,
            toRungId: 'flat-side-slide',
        );
        $given = (new Given([$below], 9, 1_200))->of([$item]);

        self::assertSame([], $given->items);
        self::assertSame('left_out.at_least', $given->resting[0]->reason->code);
    }

    public function testAfterALongTimeAwayOnlyLightWorkAndWhatKeepsTheHandLongGoOn(): void
    {
        $again = new Proposal(
            ProposalKind::PlaceAgain,
            'break.long',
            Phrase::own('test'),
            ['1'],
        );
        $routine = $this->routine(30);
        $given = (new Given([$again], 30, 1_800))->of($routine);

        self::assertNotSame([], $given->items);
        self::assertNotSame([], $given->resting);
        foreach ($given->items as $item) {
            $load = $item->rung->load;
            $isLight = $load->class->isRestful() || ($load->intensity <= 2 && EffortClass::Strength !== $load->class);
            self::assertTrue($isLight, $item->rung->id);
            self::assertSame(
                $item->rung->dosing->amounts->least,
                $item->rung->dosing->amountOf($item->dose)->number,
            );
        }
    }

    public function testWhoIsTiredHasAQuarterLessAndWhoBeginsThreeFifths(): void
    {
        $tired = new Proposal(
            ProposalKind::Shorten,
            'ease.fatigue',
            Phrase::own('test'),
            ['1'],
        );
        $routine = $this->routine(30);
        foreach ([[[$tired], 30, 0.75], [[], 0, 0.6]] as [$open, $days, $share]) {
            $given = (new Given($open, $days, 1_800))->of($routine)->items;
            self::assertLessThanOrEqual($share * 1_800, (new Sequence($given))->seconds());
            self::assertNotSame([], $given);
            self::assertTrue($given[0]->isWarmUp());
            self::assertTrue(end($given)->isCoolDown());
        }
        self::assertEquals($routine, (new Given([], 30, 1_800))->of($routine)->items);
    }

    public function testOnTheFirstThreeDaysEverythingIsDoneOnce(): void
    {
        foreach ([0 => 1, 1 => 1, 2 => 1, 3 => 3] as $before => $sets) {
            self::assertSame(
                $sets,
                $this->given([], [$this->item()], $before)[0]->dose->sets,
            );
        }
    }

    /** @return list<Item> */
    private function routine(int $minutes): array
    {
        $case = Cases::example('worked/03-stroke-mild-wants-to-pour');
        $catalogue = Cases::catalogue();
        $brief = $case->brief((new Placer($catalogue))->place($case->facts, $case->today));

        return (new Builder($catalogue))->build($brief->withLimits(new Limits($minutes)))->sequence->items;
    }

    /**
     * @param list<Proposal> $open
     * @param list<Item>     $items
     *
     * @return list<Item>
     */
    private function given(array $open, array $items, int $practiceDays): array
    {
        return (new Given($open, $practiceDays, 1_200))->of($items)->items;
    }

    private function item(): Item
    {
        $rung = Cases::catalogue()->rung('helped-lift-hold');

        return new Item(
            $rung,
            Hands::Right,
            $rung->dosing->start->withSets(3),
            Phrase::own('test'),
        );
    }

    private function proposal(ProposalKind $kind, Dose $to): Proposal
    {
        return new Proposal(
            $kind,
            'test',
            Phrase::own('test'),
            [],
            rungId: 'helped-lift-hold',
            hands: Hands::Right,
            to: $to,
        );
    }
}
