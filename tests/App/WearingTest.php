<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Placement\RungOnSide;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Wearing\Mark;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Core\Wearing\Worn;
use HandGarden\Planning\ShownRung;
use HandGarden\Planning\SignOff;
use HandGarden\Planning\Suspension;
use HandGarden\Planning\Teaching;
use HandGarden\Sitting\Alert;
use HandGarden\Wearing\Wear;
use HandGarden\Wearing\WearPlan;
use Symfony\Component\Uid\Uuid;

/** What is worn beside the sittings: begun short, made longer by a therapist alone, shorter or off by itself. */
final class WearingTest extends AtHomeTestCase
{
    private const CLEAR = ['skin' => 'yes', 'comfort' => 'yes', 'colour' => 'yes', 'warmth' => 'yes'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->odalys = $this->fresh($this->odalys);
        $this->odalys->setConditions([Condition::Parkinsons, Condition::Spasticity]);
        $this->entities->flush();
        $this->found(['circulation_ok' => true, 'touch_felt' => true, 'splint_prescribed' => true]);
    }

    public function testNobodyWhoTakesItOffNothingIsWorn(): void
    {
        $this->begin('band');
        self::assertStringContainsString('Nobody may take it off', $this->shown());
        self::assertSame([], $this->plans());

        $this->found(['removes_device' => true]);
        $this->begin('band');
        self::assertSame([[Worn::Band, 0]], $this->plans());
    }

    public function testLongerIsRefusedBeforeTwoCleanDaysWhateverIsSent(): void
    {
        $this->found(['removes_device' => true]);
        $this->begin('band');
        $this->change('longer');
        self::assertStringContainsString('two clean looks on two days', $this->shown());
        self::assertSame([[Worn::Band, 0]], $this->plans());

        foreach (['-3 days', '-2 days'] as $day) {
            $this->wornOn($day);
        }
        $this->change('longer');
        self::assertSame([[Worn::Band, 1]], $this->plans());
        $this->change('longer');
        self::assertSame([[Worn::Band, 1]], $this->plans(), 'at this time it was not worn yet');
    }

    public function testMinutesWornAreDrawnUnderTheTimeTheyWereMeantFor(): void
    {
        $trends = '/clients/'.$this->odalys->id.'/trends';
        $this->browser->request('GET', $trends);
        self::assertStringNotContainsString('minutes worn', $this->shown());

        $this->found(['removes_device' => true]);
        $this->begin('band');
        foreach (['-3 days', '-2 days'] as $day) {
            $this->wornOn($day);
        }
        $this->browser->request('GET', $trends);
        self::assertStringContainsString('The band, right hand: minutes worn', $this->shown());
        self::assertMatchesRegularExpression(
            '/Worn 2 times, \d+ minutes at most; every look was clean/',
            $this->shown(),
        );
    }

    public function testAMarkThatStaysTakesItAwayAndTellsTheClinicOnce(): void
    {
        $this->found(['removes_device' => true]);
        $this->begin('band');
        $this->letIn();
        $wear = $this->on();
        $this->tell(['wear' => $wear, 'did' => 'off', 'after' => self::CLEAR, 'mark' => 'deep']);
        self::assertSame([], $this->alerts(), 'it has twenty minutes');
        $this->tell(['wear' => $wear, 'did' => 'again', 'gone' => 'not-sure']);
        $this->tell(['wear' => $wear, 'did' => 'again', 'gone' => 'yes']);

        self::assertSame(WearVerdict::Suspended, $this->wears()[0]->verdict(), 'what was told first stays');
        self::assertSame([AlertKind::Wear], $this->alerts());
        self::assertSame(
            ['palm-flattening-band|right'],
            array_map(
                static fn (Suspension $s): string => $s->itemKey,
                $this->entities->getRepository(Suspension::class)->findAll(),
            ),
        );
        self::assertTrue($this->offered()[0]['waits']);
    }

    public function testAFaintMarkThatIsGoneIsCleanAndNothingIsTold(): void
    {
        $this->found(['removes_device' => true]);
        $this->begin('band');
        $this->letIn();
        $wear = $this->on();
        $this->tell(['wear' => $wear, 'did' => 'off', 'after' => self::CLEAR, 'mark' => 'faint']);
        self::assertCount(1, (array) ((array) $this->day()['wears'])['on'], 'it is still to be looked at');
        $this->tell(['wear' => $wear, 'did' => 'again', 'gone' => 'yes']);

        self::assertSame(WearVerdict::Clean, $this->wears()[0]->verdict());
        self::assertSame([], $this->alerts());
        self::assertFalse($this->offered()[0]['waits']);
    }

    public function testAfterALookThatWasNotClearTheNextTimeIsShorterAndTheShortestWaits(): void
    {
        $this->found(['removes_device' => true]);
        $this->begin('band');
        foreach (['-3 days', '-2 days'] as $day) {
            $this->wornOn($day);
        }
        $this->change('longer');
        $this->letIn();
        foreach ([[[Worn::Band, 0]], [[Worn::Band, 0]]] as $left) {
            $wear = $this->on();
            $cold = ['warmth' => 'no'] + self::CLEAR;
            $this->tell(['wear' => $wear, 'did' => 'off', 'after' => $cold, 'mark' => 'none']);
            $this->tell(['wear' => $wear, 'did' => 'again', 'back' => 'yes']);
            self::assertSame($left, $this->plans());
        }
        self::assertSame([AlertKind::Wear], $this->alerts(), 'there is nothing shorter than the shortest');
    }

    public function testAHandThatIsNotClearIsNotPutOnAndThatIsKept(): void
    {
        $this->found(['removes_device' => true]);
        $this->begin('band');
        $this->letIn();
        $this->on(['comfort' => 'no'] + self::CLEAR);
        self::assertTrue($this->wears()[0]->wasLeftOff());
        self::assertSame([], (array) ((array) $this->day()['wears'])['on']);
    }

    public function testANightWithoutFeelingWantsSomebodyInTheMorning(): void
    {
        $this->found(['removes_device' => true, 'touch_felt' => false, 'wrist_moves' => true]);
        $night = \count(Worn::Splint->steps()) - 1;
        $plan = $this->keep(new WearPlan(
            $this->odalys->clinicId,
            $this->odalys->id,
            Worn::Splint,
            'night-hand-splint',
            side: Side::Right,
            step: $night,
            when: '',
            morningId: null,
            beganOn: new \DateTimeImmutable('-9 days'),
            fitOn: new \DateTimeImmutable('-9 days'),
            byStaffId: $this->odalys->therapistId,
            at: new \DateTimeImmutable('-9 days'),
        ));
        $this->browser->request('GET', $this->path());
        self::assertStringContainsString('who takes it off and looks in the morning', $this->shown());
        $this->letIn();
        self::assertSame([$plan->id, true], [$this->offered()[0]['plan'], $this->offered()[0]['waits']]);
    }

    public function testWhatIsWornWithAHelperIsOfferedThroughThoseWhoWereSignedAlone(): void
    {
        $sister = $this->sister();
        $this->sister('Neighbour');
        $this->found(['removes_device' => true, 'walks_hands_free' => true]);
        $this->begin('glove');
        self::assertSame([[Worn::Glove, 0]], $this->plans());
        $this->letIn();
        self::assertSame([false, []], [$this->offered()[0]['alone'], $this->offered()[0]['helpers']]);

        $rung = new RungOnSide('glove-stick-rest', Side::Right);
        $this->keep(SignOff::after($this->keep(new Teaching(
            $sister->clinicId,
            $sister->clientId,
            $sister->id,
            'T12',
            side: Side::Right,
            points: [],
            shown: [$rung->text() => ''],
            practise: '',
            byStaffId: $this->odalys->therapistId,
            at: new \DateTimeImmutable(),
        )), $rung, new \DateTimeImmutable('today')));
        $this->changed($this->odalys);
        self::assertSame([$sister->id], $this->offered()[0]['helpers']);
    }

    /** @param array<string, bool> $answers */
    private function found(array $answers): void
    {
        $now = new \DateTimeImmutable();
        $visit = $this->keep(new Visit(
            $this->odalys->clinicId,
            $this->odalys->id,
            $now,
            $this->odalys->therapistId,
            at: $now,
        ));
        foreach ($answers as $code => $answer) {
            $side = \in_array($code, ['removes_device', 'splint_prescribed'], true) ? null : Side::Right;
            $this->keep(RecordedReading::from(
                new Reading($code, $side, null, null, value: $answer, on: $now),
                $visit,
                $this->odalys->therapistId,
                $now,
            ));
        }
        foreach (['palm-flattening-band', 'glove-stick-rest'] as $rungId) {
            $this->keep(new ShownRung(
                $this->odalys->clinicId,
                $this->odalys->id,
                $rungId,
                Side::Right,
                byStaffId: $this->odalys->therapistId,
                at: $now,
            ));
        }
        $this->changed($this->odalys);
    }

    private function begin(string $worn): void
    {
        $this->post(
            $this->path().'/begin',
            ['worn' => $worn, 'side' => 'right', 'when' => 'after breakfast'],
        );
    }

    private function change(string $do): void
    {
        $this->signIn($this->therapist());
        foreach ($this->entities->getRepository(WearPlan::class)->findBy(['endedAt' => null]) as $plan) {
            $this->post($this->path().'/'.$plan->id, ['do' => $do]);
        }
    }

    private function path(): string
    {
        return '/clients/'.$this->odalys->id.'/wearing';
    }

    /** @return list<array{Worn, int}> that hold */
    private function plans(): array
    {
        $this->entities->clear();

        return array_map(
            static fn (WearPlan $p): array => [$p->worn, $p->step],
            $this->entities->getRepository(WearPlan::class)->findBy(['endedAt' => null]),
        );
    }

    private function wornOn(string $day): void
    {
        $plan = $this->entities->getRepository(WearPlan::class)->findOneBy(['endedAt' => null]);
        self::assertNotNull($plan);
        $on = new \DateTimeImmutable($day.' 10:00');
        $wear = new Wear(
            Uuid::v7()->toRfc4122(),
            $plan->clinicId,
            $plan->clientId,
            $plan->id,
            worn: $plan->worn,
            side: $plan->side,
            day: $on,
            onAt: $on,
            before: self::CLEAR,
            person: ActorKind::Client,
            personId: $plan->clientId,
            receivedAt: $on,
        );
        $wear->cameOff(
            $on->modify('+5 minutes'),
            $wear->before(),
            Mark::None,
            '',
        );
        $this->keep($wear);
    }

    /** @param array<string, string> $before */
    private function on(array $before = self::CLEAR): string
    {
        $id = Uuid::v7()->toRfc4122();
        $plan = $this->entities->getRepository(WearPlan::class)->findOneBy(['endedAt' => null]);
        $this->tell(['wear' => $id, 'plan' => $plan?->id, 'did' => 'on', 'before' => $before]);

        return $id;
    }

    /** @param array<string, mixed> $body */
    private function tell(array $body): void
    {
        $now = (new \DateTimeImmutable())->format(\DATE_RFC3339);
        $answer = $this->home('/home/told', ['sent_at' => $now, 'told' => [[
            'id' => Uuid::v7()->toRfc4122(),
            'kind' => 'wear',
            'at' => $now,
            'body' => $body,
        ]]]);
        self::assertSame([], $answer['refused']);
    }

    /** @return list<Wear> */
    private function wears(): array
    {
        $this->entities->clear();

        return $this->entities->getRepository(Wear::class)->findBy([], ['onAt' => 'DESC']);
    }

    /** @return list<AlertKind> */
    private function alerts(): array
    {
        return array_map(
            static fn (Alert $a): AlertKind => $a->kind,
            $this->entities->getRepository(Alert::class)->findAll(),
        );
    }

    /** @return list<array<string, mixed>> */
    private function offered(): array
    {
        /** @var list<array<string, mixed>> $plans */
        $plans = ((array) $this->day()['wears'])['plans'];

        return $plans;
    }
}
