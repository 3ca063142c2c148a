<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\ApprovedRung;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\PlacementOverride;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\PrescribedDose;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\Suspension;
use HandGarden\Progress\Acts;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Said;
use PHPUnit\Framework\Attributes\DataProvider;

/** What an accepted proposal does, kind by kind, and what it leaves alone. */
final class ActsTest extends OdalysTestCase
{
    private const RUNG = 'helped-lift-hold';
    private const KEY = 'helped-lift-hold|right';

    protected function setUp(): void
    {
        parent::setUp();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
    }

    /** @return iterable<string, array{ProposalKind}> */
    public static function kindsThatChangeTheDose(): iterable
    {
        yield 'one step up' => [ProposalKind::Advance];
        yield 'one step down' => [ProposalKind::Ease];
        yield 'release first, and less' => [ProposalKind::ReleaseFirst];
        yield 'smaller or lighter' => [ProposalKind::Lighter];
        yield 'lower after a break' => [ProposalKind::StepDownAfterBreak];
    }

    #[DataProvider('kindsThatChangeTheDose')]
    public function testANewDoseIsTheDoseOfRecordAndSaysWhereItCameFrom(ProposalKind $kind): void
    {
        $to = $this->dose()->withHold(5);
        $proposal = $this->proposal($kind, to: $to);
        $this->carryOut($proposal, $to);

        $kept = $this->newestDose();
        self::assertSame(self::KEY, $kept->itemKey);
        self::assertSame(DoseFormat::write($to), $kept->dose);
        self::assertSame(DoseSource::Decision, $kept->source);
        self::assertSame($proposal->key(), $kept->proposalKey);
        self::assertSame(5, $this->itemOf(self::KEY)->dose->holdSeconds);
        self::assertCount(0, $this->entities->getRepository(Suspension::class)->findAll());
        self::assertCount(0, $this->entities->getRepository(PlacementOverride::class)->findAll());
    }

    public function testMoreSetsFollowInEveryRoutineThatHasTheItem(): void
    {
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            ['kind' => RoutineKind::Clinic->value],
        );
        $to = $this->dose()->withSets(3);
        $this->carryOut($this->proposal(ProposalKind::Advance, to: $to), $to);

        $checked = 0;
        foreach ($this->service(PlanRepository::class)->routines($this->again()) as $routine) {
            foreach ($this->service(Plan::class)->itemsOf($this->again(), $routine) as $item) {
                if (self::KEY === $item->key()) {
                    self::assertSame(3, $item->dose->sets, $routine->kind->value);
                    ++$checked;
                }
            }
        }
        self::assertGreaterThan(1, $checked);
    }

    public function testTheNextRungIsApprovedForTheHandItSpeaksOf(): void
    {
        $this->carryOut($this->proposal(ProposalKind::NextRung, toRung: 'pressed-lift-hold'));

        $approved = $this->entities->getRepository(ApprovedRung::class)->findAll();
        self::assertCount(1, $approved);
        self::assertSame(self::RUNG, $approved[0]->rungId, 'it is this one whose evidence is met');
        self::assertSame(Side::Right, $approved[0]->side);
        self::assertContains(
            'helped-lift-hold|right',
            $this->service(Plan::class)->facts($this->again())->decided->met,
        );
    }

    public function testBackToTheRungBelowStandsAsADecisionWithItsWords(): void
    {
        $proposal = $this->proposal(ProposalKind::RungBelow, toRung: 'side-rest-wrist-back');
        $this->carryOut($proposal);

        $override = $this->entities->getRepository(PlacementOverride::class)->findAll();
        self::assertCount(1, $override);
        self::assertSame('base-1', $override[0]->ladderKey);
        self::assertSame('side-rest-wrist-back', $override[0]->rungId);
        self::assertSame(Said::of($proposal->why), $override[0]->note);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/placement');
        self::assertStringContainsString('It rose twice.', $this->page());
    }

    public function testAnItemRestsOnceHoweverOftenItIsSaid(): void
    {
        $this->carryOut($this->proposal(ProposalKind::Suspend));
        $this->carryOut($this->proposal(ProposalKind::Suspend));

        $resting = $this->service(PlanRepository::class)->suspensions($this->again());
        self::assertCount(1, $resting);
        self::assertSame(self::KEY, $resting[0]->itemKey);
        self::assertSame('It rose twice.', Said::of($resting[0]->why()));
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/decisions');
        self::assertStringContainsString('It rose twice.', $this->page());
    }

    public function testTheWholeRoutineRests(): void
    {
        $this->carryOut(
            new Proposal(ProposalKind::SuspendRoutine, 'symptom.systemic', Phrase::own('Dizzy.'), []),
        );

        $resting = $this->service(PlanRepository::class)->suspensions($this->again());
        self::assertSame([Decided::EVERYTHING], array_column($resting, 'itemKey'));
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/sittings/new');
        self::assertStringContainsString('The routine is suspended: Dizzy.', $this->shown());
    }

    /** @return iterable<string, array{int, int}> */
    public static function minutes(): iterable
    {
        yield 'a quarter less' => [20, 15];
        yield 'rounded down' => [30, 22];
        yield 'never under five' => [6, 5];
        yield 'five stays five' => [5, 5];
    }

    #[DataProvider('minutes')]
    public function testAShorterSittingIsAQuarterShorter(int $before, int $after): void
    {
        $client = $this->again();
        $client->minutes = $before;
        $this->keep($client);
        $this->carryOut(new Proposal(ProposalKind::Shorten, 'ease.fatigue', Phrase::own('Tired.'), []));

        self::assertSame($after, $this->again()->minutes);
    }

    /** @return iterable<string, array{ProposalKind}> */
    public static function kindsThatOnlySay(): iterable
    {
        yield 'measure and place again' => [ProposalKind::PlaceAgain];
        yield 'no step up for long' => [ProposalKind::Plateau];
    }

    #[DataProvider('kindsThatOnlySay')]
    public function testWhatOnlySaysSomethingChangesNothing(ProposalKind $kind): void
    {
        $before = $this->everything();
        $this->carryOut($this->proposal($kind));

        self::assertSame($before, $this->everything());
    }

    public function testEveryKindThereIsCanBeCarriedOut(): void
    {
        foreach (ProposalKind::cases() as $kind) {
            $this->carryOut($this->proposal($kind));
        }
        $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $this->assertStatus(200);
    }

    private function proposal(ProposalKind $kind, ?Dose $to = null, ?string $toRung = null): Proposal
    {
        return new Proposal(
            $kind,
            'a.rule',
            Phrase::own('It rose twice.'),
            ['line-7'],
            rungId: self::RUNG,
            hands: Hands::Right,
            from: $this->dose(),
            to: $to,
            toRungId: $toRung,
        );
    }

    private function dose(): Dose
    {
        return Cases::catalogue()->rung(self::RUNG)->dosing->start;
    }

    private function carryOut(Proposal $proposal, ?Dose $dose = null): void
    {
        $client = $this->again();
        $this->service(Plan::class)->reset();
        $this->service(PlanRepository::class)->together(function () use ($client, $proposal, $dose): void {
            $this->service(Acts::class)->carryOut($client, $proposal, $dose);
        });
        $this->entities->flush();
        $this->service(Plan::class)->reset();
    }

    private function again(): \HandGarden\Client\Client
    {
        return $this->fresh($this->odalys);
    }

    private function newestDose(): PrescribedDose
    {
        $kept = $this->entities->getRepository(PrescribedDose::class)->findOneBy(
            [],
            ['at' => 'DESC', 'id' => 'DESC'],
        );
        self::assertInstanceOf(PrescribedDose::class, $kept);

        return $kept;
    }

    private function itemOf(string $key): Item
    {
        foreach ($this->service(Plan::class)->items($this->again()) as $item) {
            if ($item->key() === $key) {
                return $item;
            }
        }
        self::fail($key.' is not in the routine');
    }

    /** @return array<string, mixed> all that a decision can touch */
    private function everything(): array
    {
        $connection = $this->entities->getConnection();
        $all = [];
        foreach (['prescribed_dose', 'suspension', 'approved_rung', 'placement_override', 'routine', 'client'] as $t) {
            $all[$t] = $connection->fetchAllAssociative('SELECT * FROM '.$t.' ORDER BY id');
        }

        return $all;
    }
}
