<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Draft;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Kept;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Core\Routine\SittingRules;
use HandGarden\Core\Routine\Swaps;
use HandGarden\Core\Words\Phrase;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\TestCase;

/** What a therapist changes by hand, and what becomes of it when the rest is built anew. */
final class DraftTest extends TestCase
{
    public function testWhatIsKeptInAndOutStaysSoWhenTheRestIsBuiltAnew(): void
    {
        $brief = $this->brief();
        $draft = $this->suggested($brief);
        $out = $this->at($draft, 'close-and-open');
        $draft = $draft->forbidding($out)->adding(
            $this->item('palm-up-turn', Hands::Right, 'turns badly'),
        );

        $anew = $this->build($brief->withEdits(Edits::in($draft->items, $draft->forbidden)));

        self::assertNotContains('close-and-open', $this->ids($anew));
        self::assertContains('palm-up-turn', $this->ids($anew));
        self::assertSame('turns badly', $anew->items[$this->at($anew, 'palm-up-turn')]->kept?->note);
    }

    public function testAnItemMovedByHandStaysBehindTheOneItWasMovedBehind(): void
    {
        $brief = $this->brief();
        $draft = $this->suggested($brief);
        $lift = $this->at($draft, 'helped-lift-hold');
        $moved = $draft->moved($lift, -1);
        $behind = $moved->items[$lift - 1]->kept?->after;

        self::assertNotNull($behind);
        $anew = $this->build($brief->withEdits(Edits::in($moved->items, [])));
        $at = $this->at($anew, 'helped-lift-hold');
        self::assertSame($behind, $anew->items[$at - 1]->key());
    }

    public function testAnOrderThatSetsARuleAsideNamesItAndMayBeForcedWithAReason(): void
    {
        $brief = $this->brief();
        $draft = $this->suggested($brief);
        $rules = $this->rules($brief);
        $at = $this->at($draft, 'wrist-ease-back');
        $without = $draft->without($at);

        $broken = $without->newlyBroken($rules, $draft);
        self::assertNotSame([], $broken);
        self::assertSame([], $draft->newlyBroken($rules, $draft));
        $forced = $without->forced($broken, 'eased in the bath just before');
        $item = $forced->items[$broken[0]->item ?? -1];
        self::assertSame('eased in the bath just before', $item->kept?->forced);
        self::assertEquals(
            array_map(static fn (Item $i): string => $i->key(), $without->items),
            array_map(static fn (Item $i): string => $i->key(), $forced->items),
            'only the reason is added',
        );
    }

    public function testMovingAtTheEndsChangesNothing(): void
    {
        $draft = $this->suggested($this->brief());

        self::assertSame($draft, $draft->moved(0, -1));
        self::assertSame($draft, $draft->moved(\count($draft->items) - 1, 1));
    }

    public function testASwapComesFromWhatIsAllowedAndKeepsTheOldOneOut(): void
    {
        $brief = $this->brief();
        $draft = $this->suggested($brief);
        $swaps = new Swaps(Cases::catalogue(), $brief);
        $last = \count($draft->items) - 1;
        $others = $swaps->for($draft->items[$last], $draft->items);

        self::assertNotSame([], $others);
        foreach ($others as $other) {
            self::assertTrue($other->isCoolDown());
            self::assertNotContains(
                $other->key(),
                array_map(static fn (Item $i): string => $i->key(), $draft->items),
            );
        }
        $swapped = $draft->swapped($last, $others[0]);
        self::assertSame([$draft->items[$last]->key()], $swapped->forbidden);
        $anew = $this->build($brief->withEdits(Edits::in($swapped->items, $swapped->forbidden)));
        self::assertContains($others[0]->rung->id, $this->ids($anew));
        self::assertNotContains($draft->items[$last]->rung->id, $this->ids($anew));
    }

    public function testWhatRestsAfterASymptomOrIsScreenedOutIsNotKeptInByAnyNote(): void
    {
        $client = [
            'conditions' => ['stroke', 'spasticity'],
            'affected' => ['right'],
            'unaffected' => ['left'],
            'suspended' => ['helped-lift-hold|right'],
        ];
        $case = Cases::changed('tight-hand', ['client' => $client]);
        $brief = $case->brief(
            (new Placer(Cases::catalogue()))->place($case->facts, $case->today),
        )->withEdits(
            new Edits([$this->item('helped-lift-hold', Hands::Right, 'please')]),
        );

        self::assertNotContains('helped-lift-hold', $this->ids($this->build($brief)));
    }

    public function testADoseThatIsKeptInHoldsNoLongerThanScreeningAllowsByNow(): void
    {
        $case = Cases::changed(
            'tight-hand',
            ['screening' => ['sensation_lost' => 'yes'] + Cases::allNo()],
        );
        $long = $this->item('staged-joint-opener', Hands::Right, 'half a minute');
        $brief = $case->brief(
            (new Placer(Cases::catalogue()))->place($case->facts, $case->today),
        )->withEdits(new Edits([$long->withDose($long->dose->withHold(30))]));

        $draft = $this->build($brief);

        self::assertSame(
            10,
            $draft->items[$this->at($draft, 'staged-joint-opener')]->dose->holdSeconds,
        );
    }

    public function testWhatIsKeptInAndCannotFitIsNamed(): void
    {
        $brief = $this->brief();
        $long = array_map(
            fn (string $id): Item => $this->item($id, Hands::Right, 'all of it'),
            ['palm-up-turn', 'goal-task-carry-over', 'palm-down-turn'],
        );

        try {
            $this->build($brief->withLimits($brief->limits->withMinutes(6))->withEdits(new Edits($long)));
            self::fail('It cannot fit.');
        } catch (NothingFits $e) {
            self::assertStringContainsString('Your daily task', Said::of($e->why()));
        }
    }

    private function brief(): Brief
    {
        $case = Cases::example('tight-hand');

        return $case->brief((new Placer(Cases::catalogue()))->place($case->facts, $case->today));
    }

    private function suggested(Brief $brief): Draft
    {
        return $this->build($brief);
    }

    private function build(Brief $brief): Draft
    {
        return new Draft((new Builder(Cases::catalogue()))->build($brief)->sequence->items);
    }

    private function rules(Brief $brief): SittingRules
    {
        return (new Builder(Cases::catalogue()))->rulesFor(
            $brief->facts,
            $brief->limits,
            $brief->today,
        );
    }

    private function at(Draft $draft, string $id): int
    {
        $at = array_search($id, $this->ids($draft), true);
        self::assertIsInt($at, $id.' is in');

        return $at;
    }

    private function item(string $id, Hands $hands, string $note): Item
    {
        $rung = Cases::catalogue()->rung($id);

        return new Item(
            $rung,
            $hands,
            $rung->dosing->start,
            new Phrase('reason.added'),
            kept: new Kept($note),
        );
    }

    /** @return list<string> */
    private function ids(Draft $draft): array
    {
        return array_map(static fn (Item $i): string => $i->rung->id, $draft->items);
    }
}
