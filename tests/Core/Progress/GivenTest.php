<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Progress;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Progress\Given;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\TestCase;

final class GivenTest extends TestCase
{
    public function testWhatTheLogAsksForHoldsDownUntilItIsAnswered(): void
    {
        $item = $this->item();
        $lower = $item->dose->withHold(4)->withSets(1);
        $given = (new Given([$this->proposal(ProposalKind::Ease, $lower)], 9))->items([$item]);

        self::assertSame(4, $given[0]->dose->holdSeconds);
        self::assertSame(3, $given[0]->dose->sets, 'how often it is done is the routine’s own');
        self::assertSame('variant.eased', $given[0]->variant?->code);
        self::assertEquals([$item], (new Given([], 9))->items([$item]), 'answered: the dose of record');
    }

    public function testNothingIsEverMadeHarderByItself(): void
    {
        $item = $this->item();
        foreach (ProposalKind::cases() as $kind) {
            $harder = $this->proposal($kind, $item->dose->withHold(9)->withRepetitions(12));
            self::assertEquals([$item], (new Given([$harder], 9))->items([$item]), $kind->value);
        }
    }

    public function testOnTheFirstThreeDaysEverythingIsDoneOnce(): void
    {
        foreach ([0 => 1, 1 => 1, 2 => 1, 3 => 3] as $before => $sets) {
            self::assertSame($sets, (new Given([], $before))->items([$this->item()])[0]->dose->sets);
        }
    }

    private function item(): Item
    {
        $rung = Cases::catalogue()->rung('helped-lift-hold');

        return new Item($rung, Hands::Right, $rung->dosing->start->withSets(3), Phrase::own('test'));
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
