<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Routine;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\DoneOn;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\SittingRole;
use HandGarden\Core\Catalogue\Strand;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Placer;
use HandGarden\Core\Placement\RungState;
use HandGarden\Core\Routine\Brief;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Edits;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\LeftOut;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Core\Routine\Routine;
use HandGarden\Exchange\Case\CaseFile;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BuilderTest extends TestCase
{
    public function testATightHandIsWarmedEasedOpenedAndThenWorked(): void
    {
        $ids = $this->ids($this->build(Cases::example('tight-hand')));

        $expected = [
            'wrist-ease-back',
            'finger-space-opener',
            'thumb-lift-away-stretch',
            'staged-joint-opener',
            'palm-down-flattening-rest',
            'helped-lift-hold',
        ];
        self::assertSame(
            $expected,
            array_values(array_intersect($ids, $expected)),
            'fingers first while they hold the thumb; then the wrist',
        );
        self::assertGreaterThan(
            array_search('staged-joint-opener', $ids, true),
            array_search('close-and-open', $ids, true),
            'opening by itself comes while the hand is at its loosest',
        );
        self::assertSame(
            'warm-up',
            Cases::catalogue()->rung($ids[0])->sitting->role->value,
        );
        self::assertContains(
            $ids[\count($ids) - 1],
            ['cream-palm-massage', 'finger-lengthening-massage'],
        );
    }

    public function testACuppedHandGetsNoGripping(): void
    {
        $routine = $this->build(Cases::example('cupped-hands'));

        self::assertSame(0.0, $routine->sequence->balance()->flexionSeconds);
        self::assertContains('active-wrist-lift', $this->ids($routine));
    }

    public function testEveryItemAndEveryLeftOutHasAReason(): void
    {
        foreach (['tight-hand', 'cupped-hands', 'fingers-together'] as $name) {
            $routine = $this->build(Cases::example($name));
            foreach ($routine->sequence->items as $item) {
                self::assertNotSame('', Said::of($item->reason));
            }
            foreach ($routine->leftOut as $out) {
                self::assertNotSame('', Said::of($out->reason));
            }
            self::assertTrue($routine->isProvedBest());
        }
    }

    public function testLessTimeLeavesOutAndSaysHowMuchIsMissing(): void
    {
        $short = $this->build(Cases::changed('tight-hand', ['limits' => ['minutes' => 8]]));

        self::assertLessThanOrEqual(8 * 60, $short->sequence->seconds());
        self::assertMatchesRegularExpression(
            '/Time: \d+:\d\d more than the 8 minutes/',
            implode(
                ' ',
                array_map(static fn (LeftOut $l): string => Said::of($l->reason), $short->leftOut),
            ),
        );
    }

    public function testWhatIsNotAtHandIsLeftOutByName(): void
    {
        $routine = $this->build(
            Cases::changed(
                'tight-hand',
                [
                    'client' => [
                        'conditions' => ['stroke', 'spasticity'],
                        'affected' => ['right'],
                        'unaffected' => ['left'],
                        'materials' => ['chair', 'hand-cream', 'towel'],
                    ],
                ],
            ),
        );

        self::assertNotContains('helped-lift-hold', $this->ids($routine));
        self::assertContains(
            'Not at hand: Table',
            array_map(
                static fn (LeftOut $l): string => Said::of($l->reason),
                $routine->leftOut,
            ),
        );
    }

    public function testASuspendedItemStaysOutUntilItIsReopened(): void
    {
        $client = [
            'conditions' => ['stroke', 'spasticity'],
            'affected' => ['right'],
            'unaffected' => ['left'],
            'suspended' => ['helped-lift-hold|right'],
        ];
        self::assertNotContains(
            'helped-lift-hold',
            $this->ids($this->build(Cases::changed('tight-hand', ['client' => $client]))),
        );

        self::assertStringContainsString('suspended after a symptom', $this->whyNothing(
            Cases::changed('tight-hand', ['client' => ['suspended' => ['*']] + $client]),
        ));
    }

    public function testTheReasonForNoRoutineAtAllIsSaid(): void
    {
        self::assertStringContainsString(
            'Not asked yet: Sudden face droop',
            $this->whyNothing(Cases::changed(
                'tight-hand',
                ['screening' => ['falls' => 'no']],
            )),
        );
    }

    public function testSpasticityAloneHasASittingWithASafeBeginAndEnd(): void
    {
        $client = ['conditions' => ['spasticity'], 'affected' => ['right'], 'unaffected' => ['left']];
        $ids = $this->ids($this->build(Cases::changed(
            'tight-hand',
            ['client' => $client],
        )));

        self::assertSame('long-out-breath', $ids[0]);
        self::assertSame('open-rest-long-breath', $ids[\count($ids) - 1]);
    }

    public function testThePartOfASittingThatCannotBeHadIsNamed(): void
    {
        $closing = array_filter(
            Cases::catalogue()->rungs(),
            static fn (Rung $r): bool => SittingRole::CoolDown === $r->sitting->role,
        );
        $keys = [];
        foreach ($closing as $rung) {
            foreach (Hands::cases() as $hands) {
                $keys[] = (new ItemKey($rung->id, $hands))->text();
            }
        }
        $brief = self::brief(Cases::example('tight-hand'))->withEdits(new Edits(forbidden: $keys));
        try {
            (new Builder(Cases::catalogue()))->build($brief);
            self::fail('A routine was built.');
        } catch (NothingFits $e) {
            $why = Said::of($e->why());
        }

        self::assertStringStartsWith('No routine can be made: ', $why);
        self::assertStringContainsString('closing item', $why);
        self::assertStringNotContainsString('nothing_fits', $why);
    }

    private function whyNothing(CaseFile $case): string
    {
        try {
            $this->build($case);
        } catch (NothingFits $e) {
            return Said::of($e->why());
        }
        self::fail('A routine was built.');
    }

    public function testALadderThatATherapistPutsFirstIsFirstInFocus(): void
    {
        $chosen = ['ladder' => 'base-1', 'side' => 'right', 'note' => 'the wrist comes first'];
        $first = static fn (CaseFile $case): string => (
            new Candidates(Cases::catalogue(), self::brief($case))
        )->focus()[0][0]->ladder->key;

        self::assertSame('base-1', $first(Cases::changed('tight-hand', ['focus' => [$chosen]])));
        self::assertNotSame('base-1', $first(Cases::example('tight-hand')));
    }

    public function testLostFeelingShortensTheHold(): void
    {
        $case = Cases::changed(
            'tight-hand',
            [
                'screening' => ['sensation_lost' => 'yes'] + Cases::allNo(),
                'routine' => [
                    ['rung' => 'staged-joint-opener', 'hands' => 'right', 'dose' => ['hold' => 30]],
                ],
            ],
        );
        foreach ($this->build($case)->sequence->items as $item) {
            self::assertTrue('prep' !== $item->rung->load->class->value || $item->dose->holdSeconds <= 10);
        }
    }

    /** @return iterable<string, array{Condition, Side, Hands}> of clients who write with their right hand */
    public static function mappedHands(): iterable
    {
        yield 'a writing hand that cramps' => [Condition::Dystonia, Side::Right, Hands::Left];
        yield 'the other cramps' => [Condition::Dystonia, Side::Left, Hands::Right];
        yield 'a writing hand after a stroke' => [Condition::Stroke, Side::Right, Hands::Right];
        yield 'the other after a stroke' => [Condition::Stroke, Side::Left, Hands::Left];
    }

    #[DataProvider('mappedHands')]
    public function testWhatAHandFeelsIsMappedOnTheHandThatNeedsIt(
        Condition $condition,
        Side $worse,
        Hands $expected,
    ): void {
        $mapped = [];
        for ($seed = 0; $seed < 16; ++$seed) {
            $client = new RandomClient($seed, true);
            if ($client->side !== $worse) {
                continue;
            }
            $client->conditions = [$condition];
            $facts = $client->facts();
            $known = new KnownFacts($facts, Cases::catalogue()->vocabulary, $client->today);
            if (false === $known->value('touch_felt', null, $worse)) {
                continue; // lost feeling is worked on where it is lost
            }
            $brief = $client->brief($facts, Goals::none(), new Limits(30));
            foreach ((new Candidates(Cases::catalogue(), $brief))->groups() as $group) {
                foreach ($group->options[0]->items as $item) {
                    if (DoneOn::NonDominant === $item->rung->fit->doneOn) {
                        $mapped[$item->hands->value] = $item->hands;
                    }
                }
            }
        }

        self::assertSame([$expected], array_values($mapped));
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($block = 0; $block < 5; ++$block) {
            yield 'clients '.($block * 20).' to '.($block * 20 + 19) => [$block * 20];
        }
    }

    #[DataProvider('seeds')]
    public function testARoutineKeepsEveryHardRuleForEveryClient(int $from): void
    {
        $built = 0;
        for ($seed = $from; $seed < $from + 20; ++$seed) {
            $client = new RandomClient($seed, true);
            $facts = $client->facts([], [], 0 === $seed % 2);
            $limits = new Limits(6 + $seed % 24);
            $builder = new Builder(Cases::catalogue());
            $goals = Cases::catalogue()->goals;
            $brief = $client->brief(
                $facts,
                Goals::from([[$goals[$seed % 6], 3], [$goals[($seed + 2) % 6], 1 + $seed % 3]]),
                $limits,
            );
            try {
                $routine = $builder->build($brief);
            } catch (NothingFits) {
                continue;
            }
            ++$built;
            self::assertSame(
                [],
                $builder->rulesFor(
                    $facts,
                    $limits,
                    $client->today,
                )->broken($routine->sequence->items),
                "seed $seed",
            );
            self::assertEquals(
                $routine,
                $builder->build($brief),
                "seed $seed: same input, same routine",
            );
            $longer = $builder->build($brief->withLimits($limits->withMinutes($limits->minutes + 5)));
            self::assertGreaterThanOrEqual(
                $routine->value,
                $longer->value,
                "seed $seed: more minutes are never worth less",
            );
            $offered = [];
            foreach ($brief->placements->ladders as $placed) {
                foreach ($placed->offered() as $rung) {
                    $offered[$rung->id] = true;
                    self::assertNotContains(
                        $placed->for($rung->id)?->state,
                        [RungState::Blocked, RungState::NotYet, RungState::Measure, RungState::NoFit],
                        "seed $seed",
                    );
                }
            }
            foreach ($routine->sequence->items as $item) {
                self::assertTrue(
                    $item->isPause || isset($offered[$item->rung->id]),
                    "seed $seed: {$item->rung->id} was never offered",
                );
            }
            $this->assertRanked($routine->sequence->items, "seed $seed");
        }
        self::assertGreaterThan(0, $built);
    }

    /** @param list<Item> $items */
    private function assertRanked(array $items, string $why): void
    {
        $ranks = array_flip(array_map(
            static fn (Strand $s): string => $s->value,
            Strand::cases(),
        ));
        $last = -1;
        $before = null;
        foreach ($items as $item) {
            $strand = Cases::catalogue()->ladderOf($item->rung->id)->strand;
            $letsGo = Strand::Open === $strand && Strand::Grip === $before;
            $before = $strand;
            if ($letsGo) {
                continue; // stands directly after gripping
            }
            if (
                $item->isPause
                || null !== $item->block
                || 'lead-in' === $item->rung->sitting->role->value
                || 'cool-down' === $item->rung->sitting->role->value
            ) {
                continue;
            }
            self::assertGreaterThanOrEqual(
                $last,
                $ranks[$strand->value],
                $why.': '.$item->rung->id.' comes too late',
            );
            $last = $ranks[$strand->value];
        }
    }

    private function build(CaseFile $case): Routine
    {
        return (new Builder(Cases::catalogue()))->build(self::brief($case));
    }

    private static function brief(CaseFile $case): Brief
    {
        return $case->brief((new Placer(Cases::catalogue()))->place($case->facts, $case->today));
    }

    /** @return list<string> */
    private function ids(Routine $routine): array
    {
        return array_map(
            static fn (Item $i): string => $i->rung->id,
            $routine->sequence->items,
        );
    }
}
