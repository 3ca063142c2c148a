<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Caseload\Caseload;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\Phrase;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\AlertNoteKind;
use HandGarden\Sitting\Alerts;

/** From something that happened to an answer with a note. */
final class AlertTest extends OdalysTestCase
{
    private const ITEM = 'helped-lift-hold|right';

    protected function setUp(): void
    {
        parent::setUp();
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/suggest',
            [],
        );
    }

    public function testOpeningIsSeeingAndNotAnswering(): void
    {
        $alert = $this->raised();
        self::assertNull($alert->seenAt);
        $this->browser->request(
            'GET',
            $this->path($alert),
        );

        $seen = $this->fresh($alert);
        self::assertNotNull($seen->seenAt);
        self::assertSame(
            $this->therapist->id,
            $seen->seenById,
        );
        self::assertTrue($seen->isOpen());
        $this->browser->request('GET', '/');
        self::assertSelectorExists('section[data-group="alerts"]');
    }

    public function testAnAssistantPassesOnAndAnswersNothing(): void
    {
        $alert = $this->raised();
        $this->signIn(
            $this->staff($this->quayside(), Role::Assistant),
        );
        $this->browser->request(
            'GET',
            $this->path($alert),
        );
        self::assertNull(
            $this->fresh($alert)->seenAt,
            'who may not answer has not seen it for the clinic',
        );
        self::assertSelectorNotExists('textarea[name="note"]');
        $this->post(
            $this->path($alert, '/notes'),
            ['kind' => 'passed-on', 'text' => 'She sounds well'],
        );
        $this->post(
            $this->path($alert),
            $this->answer('keep'),
        );
        $this->assertStatus(403);

        $this->entities->clear();
        $notes = $this->service(Alerts::class)->notes($alert);
        self::assertSame(
            [AlertNoteKind::PassedOn],
            array_column($notes, 'kind'),
        );
        self::assertTrue(
            $this->fresh($alert)->isOpen(),
        );
    }

    public function testACallThatNobodyTakesIsTriedAndNotAnswered(): void
    {
        $alert = $this->raised();
        foreach ([1, 2] as $time) {
            $this->post(
                $this->path($alert, '/notes'),
                ['kind' => 'tried', 'text' => 'call '.$time],
            );
        }
        $this->post(
            $this->path($alert, '/notes'),
            ['kind' => 'told-again', 'text' => 'made up'],
        );

        $this->entities->clear();
        self::assertCount(
            2,
            $this->service(Alerts::class)->notes($alert),
        );
        self::assertTrue(
            $this->fresh($alert)->isOpen(),
        );
    }

    public function testWhatIsToldAgainWhileItIsOpenJoins(): void
    {
        $alert = $this->raised();
        $told = new \DateTimeImmutable('+1 hour');
        foreach ([$alert->receivedAt, $told, $told] as $at) { // the same word twice is one word
            $this->raise(
                AlertKind::Part,
                self::ITEM,
                $at,
            );
        }
        $this->raise(
            AlertKind::Stop,
            self::ITEM,
            $told,
        );

        $this->entities->clear();
        $open = $this->service(Alerts::class)->open(
            $this->fresh($this->odalys),
        );
        self::assertSame(
            [AlertKind::Part, AlertKind::Stop],
            array_column($open, 'kind'),
        );
        self::assertCount(
            1,
            $this->service(Alerts::class)->notes($open[0]),
        );
    }

    public function testAnAnswerWantsAnActAndADayAndKeepsWhatWasTyped(): void
    {
        $alert = $this->raised();
        foreach (
            [
                [['act' => ''], 'Say what becomes of what rests.'],
                [['look_on' => '2020-01-01'], 'somebody looks again'],
                [['look_on' => (new \DateTimeImmutable('+60 days'))->format(
                    'Y-m-d',
                )], 'somebody looks again'],
                [['note' => ''], 'Say in up to 300 letters'],
            ] as [$wrong, $says]
        ) {
            $this->post(
                $this->path($alert),
                $wrong + $this->answer('keep'),
            );
            $this->assertStatus(422);
            self::assertStringContainsString($says, $this->shown());
            self::assertTrue(
                $this->fresh($alert)->isOpen(),
            );
        }
        self::assertInputValueSame('words', 'Rest till then.');
    }

    public function testReopenedLowerTheDoseOfRecordIsAStepLowerAndNothingRests(): void
    {
        $alert = $this->raised();
        $before = $this->service(PlanRepository::class)->doses($this->fresh($this->odalys))[self::ITEM];
        $this->post(
            $this->path($alert),
            $this->answer('reopen-lower', $this->suspended()),
        );

        $client = $this->fresh($this->odalys);
        $after = $this->service(PlanRepository::class)->doses($client)[self::ITEM];
        self::assertTrue($after->isAtMost($before));
        self::assertFalse($before->isAtMost($after));
        self::assertSame(
            [],
            $this->service(PlanRepository::class)->suspensions($client),
        );
        $answered = $this->fresh($alert);
        self::assertStringContainsString('is back, lower.', $answered->words);
        self::assertStringStartsWith('Rest till then.', $answered->words);
        self::assertStringContainsString('See your doctor', $answered->words);
    }

    public function testWhatIsUntickedGoesOnResting(): void
    {
        $alert = $this->raised();
        $this->post(
            $this->path($alert),
            $this->answer('reopen', []),
        );

        self::assertNotSame([], $this->suspended());
    }

    public function testTakenOutItIsInNoRoutine(): void
    {
        $alert = $this->raised();
        $this->post(
            $this->path($alert),
            $this->answer('out'),
        );

        $this->service(Plan::class)->reset();
        $keys = array_map(
            static fn ($item): string => $item->key(),
            $this->service(Plan::class)->items(
                $this->fresh($this->odalys),
            ),
        );
        self::assertNotSame([], $keys);
        self::assertNotContains(self::ITEM, $keys);
    }

    public function testAfterAnEmergencyNothingIsReopenedBeforeTheScreeningIsAskedAnew(): void
    {
        $this->entities->getConnection()->executeStatement(
            'UPDATE screening_answer SET asked_on = asked_on - 3',
        );
        $this->service(PlanRepository::class)->suspend(
            $this->odalys,
            Decided::EVERYTHING,
            Phrase::own('Chest pain.'),
            told: new \DateTimeImmutable(),
            at: new \DateTimeImmutable(),
        );
        $alert = $this->raise(
            AlertKind::Emergency,
            '',
            new \DateTimeImmutable(),
        );
        $this->post(
            $this->path($alert),
            $this->answer('reopen', $this->suspended()),
        );
        $this->assertStatus(422);
        self::assertStringContainsString(
            'After an emergency the screening is asked anew first',
            $this->shown(),
        );
        $resting = $this->suspended();
        $this->post(
            '/clients/'.$this->odalys->id.'/suspensions/'.$resting[0],
            ['note' => 'Seen'],
        );
        self::assertSame($resting, $this->suspended(), 'nor past the card');

        $this->entities->getConnection()->executeStatement(
            'UPDATE screening_answer SET asked_on = asked_on + 3',
        );
        $this->post(
            $this->path($alert),
            $this->answer('reopen', $this->suspended()),
        );
        self::assertFalse(
            $this->fresh($alert)->isOpen(),
        );
        self::assertSame([], $this->suspended());
    }

    public function testWhatAnEmergencyHoldsIsNotReopenedFromTheCardOfAnotherAlert(): void
    {
        $this->entities->getConnection()->executeStatement(
            'UPDATE screening_answer SET asked_on = asked_on - 3',
        );
        $this->raise(AlertKind::Emergency, '', new \DateTimeImmutable());
        $other = $this->raised();
        $this->service(PlanRepository::class)->suspend(
            $this->fresh($this->odalys),
            Decided::EVERYTHING,
            Phrase::own('Chest pain.'),
            told: new \DateTimeImmutable(),
            at: new \DateTimeImmutable(),
        );
        $before = $this->suspended();
        $this->post(
            $this->path($other),
            $this->answer('reopen', $before),
        );

        $this->assertStatus(422);
        self::assertSame($before, $this->suspended());
    }

    public function testWhatWaitsTooLongComesToTheLeadAndSaysSo(): void
    {
        $clinic = $this->quayside();
        $clinic->hours = array_fill(
            1,
            7,
            ['00:00', '24:00'],
        );
        $this->keep($clinic);
        $this->raised('-25 hours');
        $this->renewed();
        $this->signIn(
            $this->staff($clinic, Role::Lead),
        );
        $this->browser->request('GET', '/');

        self::assertStringContainsString('The time is over; the leads have it too.', $this->shown());
        $this->signIn($this->therapist);
        $alert = $this->service(Alerts::class)->open($this->fresh($this->odalys))[0];
        $this->post(
            $this->path($alert),
            $this->answer('keep'),
        );
        $this->browser->request('GET', '/');
        self::assertSelectorNotExists('section[data-group="alerts"]');
        self::assertSelectorExists('section[data-group="held"]');
    }

    public function testItIsLookedAtAgainOnItsDay(): void
    {
        $alert = $this->raised();
        $this->post(
            $this->path($alert),
            ['look_on' => (new \DateTimeImmutable())->format('Y-m-d')] + $this->answer(
                'reopen',
                $this->suspended(),
            ),
        );
        $this->browser->request('GET', '/');
        self::assertStringContainsString('Look again at what was answered', $this->shown());
        $this->post(
            $this->path($alert, '/looked'),
            [],
        );
        self::assertNotNull($this->fresh($alert)->lookedAt);
        $this->browser->request('GET', '/');
        self::assertStringNotContainsString('Look again at what was answered', $this->shown());
    }

    public function testNothingIsReopenedByTimeNorByGoodSittings(): void
    {
        $alert = $this->raised('-15 days');
        $this->browser->request(
            'GET',
            $this->path($alert),
        );
        $this->entities->getConnection()->executeStatement(
            "UPDATE suspension SET at = at - interval '15 days'",
        );
        foreach ([9, 6, 3, 1] as $ago) {
            $this->post('/clients/'.$this->odalys->id.'/logbook/paper', [
                'day' => (new \DateTimeImmutable('-'.$ago.' days'))->format('Y-m-d'),
                'written_by' => 'Sister',
                'pain_before' => '0',
                'lines' => ['wrist-ease-back|right' => [
                    'outcome' => 'done',
                    'pain_after' => '0',
                ]],
            ]);
        }

        self::assertTrue(
            $this->fresh($alert)->isOpen(),
            'opened is not answered',
        );
        self::assertCount(1, $this->suspended());
        $this->browser->request('GET', '/');
        self::assertSelectorExists('section[data-group="alerts"]');
    }

    public function testAnAlertOfAnotherClientIsNotFound(): void
    {
        $alert = $this->raised();
        $other = $this->client(
            $this->quayside(),
            $this->therapist,
            false,
            'Ferrow',
        );
        $this->browser->request(
            'GET',
            '/clients/'.$other->id.'/alerts/'.$alert->id,
        );

        $this->assertStatus(404);
    }

    /** With what rests by it. */
    private function raised(string $when = 'now'): Alert
    {
        $this->service(PlanRepository::class)->suspend(
            $this->odalys,
            self::ITEM,
            self::why(),
            told: new \DateTimeImmutable(),
            at: new \DateTimeImmutable(),
        );

        return $this->raise(
            AlertKind::Part,
            self::ITEM,
            new \DateTimeImmutable($when),
        );
    }

    private function raise(AlertKind $kind, string $item, \DateTimeImmutable $told): Alert
    {
        $client = $this->fresh($this->odalys);
        $this->service(Alerts::class)->raise(
            $client,
            $kind,
            $item,
            self::why(),
            begunAt: $told,
            told: $told,
        );
        $open = $this->service(Alerts::class)->open($client);

        return array_values(array_filter($open, static fn (Alert $a): bool => $kind === $a->kind))[0];
    }

    private static function why(): Phrase
    {
        return new Phrase(
            'suspension.tingling',
            ['item' => 'Helped lift', 'on' => '3 Nov'],
        );
    }

    /** @return list<string> */
    private function suspended(): array
    {
        return array_column(
            $this->service(PlanRepository::class)->suspensions(
                $this->fresh($this->odalys),
            ),
            'id',
        );
    }

    /**
     * @param list<string> $reopen
     *
     * @return array<string, mixed>
     */
    private function answer(string $act, array $reopen = []): array
    {
        return [
            'note' => 'Called; strap too tight',
            'act' => $act,
            'reopen' => $reopen,
            'next' => ['doctor'],
            'look_on' => (new \DateTimeImmutable('+2 days'))->format('Y-m-d'),
            'words' => 'Rest till then.',
        ];
    }

    private function path(Alert $alert, string $page = ''): string
    {
        return '/clients/'.$this->odalys->id.'/alerts/'.$alert->id.$page;
    }

    private function renewed(): void
    {
        $this->service(Caseload::class)->mark($this->odalys->id);
    }
}
