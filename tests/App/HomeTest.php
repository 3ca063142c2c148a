<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\Recording;
use HandGarden\Assessment\RecordingKind;
use HandGarden\Core\Actor\ActorKind;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Diary\Doing;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Moment;
use HandGarden\Core\Diary\Trouble;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\LetInCode;
use HandGarden\Core\Measure\Ink\InkTask;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Home\Consent;
use HandGarden\Home\Diary;
use HandGarden\Home\DiaryEntry;
use HandGarden\Home\DiaryTrial;
use HandGarden\Home\HomeDevice;
use HandGarden\Home\Message;
use HandGarden\Home\Pairing;
use HandGarden\Home\PlanChange;
use HandGarden\Home\TakenOutWhy;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\Suspension;
use HandGarden\Progress\OpenProposals;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Tests\Core\Cases;
use HandGarden\Web\Clock;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Devices at home: let in, what they see, what they send, and taken out. */
final class HomeTest extends AtHomeTestCase
{
    public function testADeviceIsLetInByACodeThatGoesOnceAndTheWordOfATherapist(): void
    {
        $this->agree(ConsentKind::HomeUse);
        $this->post(
            '/clients/'.$this->odalys->id.'/home/let-in',
            ['label' => 'telephone'],
        );
        $this->browser->followRedirect();
        self::assertSame(1, preg_match('/data-code>([0-9A-Z ]+)</', $this->page(), $shown));
        $key = str_repeat('a1', 32);

        $pictures = $this->home(
            '/home/in',
            ['code' => $shown[1], 'key' => hash('sha256', $key)],
        )['pictures'];
        self::assertCount(3, (array) $pictures);
        self::assertSame(
            'waits',
            $this->home('/home/in/key', ['key' => $key])['state'],
            'nobody confirmed yet',
        );
        $again = $this->home('/home/in', ['code' => $shown[1], 'key' => hash('sha256', 'other')]);
        self::assertSame('code-over', $again['state'], 'a code goes once');
        $state = $this->json('/clients/'.$this->odalys->id.'/home/let-in/state');
        self::assertSame($pictures, $state['pictures'], 'the same on both screens');

        $this->post('/clients/'.$this->odalys->id.'/home/let-in/confirm', ['pictures' => 'same']);
        self::assertSame('in', $this->home('/home/in/key', ['key' => $key])['state']);
        $cookie = $this->browser->getCookieJar()->get('garden-home', '/home');
        self::assertNotNull($cookie);
        self::assertTrue($cookie->isHttpOnly());
        self::assertSame('strict', $cookie->getSameSite());
        self::assertSame('code-over', $this->home('/home/in/key', ['key' => $key])['state']);
        self::assertSame('Odalys', $this->day()['first']);
        $device = $this->devices()[0];
        self::assertStringNotContainsString(
            $cookie->getValue(),
            serialize($device),
            'of a secret a hash is kept',
        );
    }

    public function testACodeIsOverAfterTenMinutesAndTriesAreCounted(): void
    {
        $code = LetInCode::typed('ABCD 2345') ?? self::fail();
        $this->keep(new Pairing(
            $this->odalys->clinicId,
            $this->odalys->id,
            null,
            'telephone',
            codeHash: Pairing::hash($code),
            madeById: $this->odalys->therapistId,
            madeAt: new \DateTimeImmutable('-11 minutes'),
        ));
        $try = fn (): mixed => $this->home(
            '/home/in',
            ['code' => 'abcd2345', 'key' => hash('sha256', 'k')],
        )['state'];

        self::assertSame('code-over', $try());
        $states = array_map(static fn (): mixed => $try(), range(1, 6));
        self::assertContains('too-many', $states);
    }

    public function testNobodyIsLetInWithoutConsentNumbersOrASafeAddress(): void
    {
        $letIn = fn () => $this->post(
            '/clients/'.$this->odalys->id.'/home/let-in',
            ['label' => 'telephone'],
        );
        $letIn();
        self::assertSame(0, $this->entities->getRepository(Pairing::class)->count([]), 'no consent');
        $this->agree(ConsentKind::HomeUse);
        $this->post(
            '/clients/'.$this->odalys->id.'/home/let-in',
            ['label' => 'tablet', 'person' => $this->sister()->id],
        );
        self::assertSame(
            0,
            $this->entities->getRepository(Pairing::class)->count([]),
            'a helper needs another',
        );
        $letIn();
        self::assertSame(1, $this->entities->getRepository(Pairing::class)->count([]));
    }

    public function testADeviceOpensOneClientAndNothingOfTheStaffSide(): void
    {
        $this->letIn();
        $this->assertOpensNothingOfTheStaffSide();
        self::assertSame('Odalys', $this->day()['first']);
    }

    public function testWhatIsSeenAtHomeIsNothingOfScreeningNotesOrMeasures(): void
    {
        $this->letIn();
        $this->day();
        $seen = $this->page();

        foreach (['screening', 'birth', 'alcohol', 'story', 'finding', 'therapistId'] as $word) {
            self::assertStringNotContainsString('"'.$word, $seen, $word);
        }
        self::assertStringNotContainsString('Brandt', $seen, 'the first name is enough');
    }

    public function testASittingBegunWithoutANetworkIsKeptOnceWhateverComesFirst(): void
    {
        $this->letIn();
        $handed = $this->handed();
        $events = [
            $this->event(
                'begun',
                null,
                ['pain_before' => 2, 'with' => 'alone', 'list' => 'home', 'tired' => 3],
            ),
            $this->event('line', '1', ['outcome' => 'done', 'pain_before' => 2, 'help' => 'none']),
            $this->event('finished', null, []),
        ];

        $this->send($handed, [$events[1]]);
        $this->send($handed, [$events[2], $events[0]]);
        $this->send($handed, $events);

        $sitting = $this->entities->find(Sitting::class, $handed['slot']['id']) ?? self::fail('no sitting');
        self::assertSame(ActorKind::Client, $sitting->actor()->kind);
        self::assertSame(2, $sitting->painBefore);
        self::assertTrue($sitting->unaided);
        self::assertNotNull($sitting->finishedAt);
        self::assertCount(3, $this->eventsOf($sitting));
        $items = $this->itemsOf($sitting);
        self::assertSame('done', $items[1]->told['outcome'] ?? null);
        $other = $this->keep($this->sitting($this->odalys, $this->therapist()));
        self::assertNotSame($other->id, $sitting->id);
    }

    public function testItHurtLaterIsToldOfTheSittingBefore(): void
    {
        $this->letIn();
        $first = $this->handed();
        $this->send($first, [
            $this->event('begun', null, ['pain_before' => 1, 'list' => 'home']),
            $this->event('line', '1', ['outcome' => 'done', 'pain_before' => 1]),
        ]);
        $second = $this->handed();
        $this->send($second, [
            $begun = $this->event(
                'begun',
                null,
                [
                    'with' => 'alone',
                    'pain_before' => 2,
                    'pain_at' => 'wrist',
                    'list' => 'home',
                    'hurt_later' => 'not-sure',
                ],
            ),
        ]);
        $this->send($second, [$begun]);
        $this->signIn($this->therapist());
        $this->browser->request('GET', '/sittings/'.$second['slot']['id'].'/record');
        self::assertStringContainsString('nobody was there', $this->page());
        self::assertStringContainsString('counted as yes. pain 2 wrist', $this->page());

        $sitting = $this->entities->find(Sitting::class, $first['slot']['id']) ?? self::fail();
        $hurt = array_filter(
            $this->eventsOf($sitting),
            static fn (SittingEvent $e): bool => 'hurt-later' === $e->kind->value,
        );
        self::assertCount(1, $hurt, 'not sure counts as the worse answer, and once');
    }

    public function testPainInTheNightAfterTwoExercisesOfOnePartIsOneCard(): void
    {
        $this->letIn();
        $keys = $this->keysOf($this->plan());
        $parts = [];
        foreach ($keys as $place => $key) {
            $rung = ItemKey::fromText($key)?->rungId;
            $class = null === $rung ? null : Cases::catalogue()->rung($rung)->load;
            if (null !== $class && $class->class->needsPreparation()) {
                $parts[$class->segment->value][] = (string) $place;
            }
        }
        $same = array_values(array_filter($parts, static fn (array $p): bool => \count($p) >= 2))[0] ?? [];
        self::assertGreaterThanOrEqual(2, \count($same), 'two of one part stand in the plan');
        $monday = $this->handed();
        $this->send($monday, [
            $this->event('begun', null, ['pain_before' => 1, 'list' => 'home']),
            $this->event('line', $same[0], ['outcome' => 'done', 'pain_before' => 1]),
            $this->event('line', $same[1], ['outcome' => 'done', 'pain_before' => 1]),
        ]);
        $this->send($this->handed(), [
            $this->event('begun', null, ['pain_before' => 1, 'list' => 'home', 'hurt_later' => 'yes']),
        ]);
        $this->entities->clear();
        $cards = array_filter(
            $this->service(OpenProposals::class)->for($this->fresh($this->odalys)),
            static fn (Proposal $p): bool => ProposalKind::Review === $p->kind,
        );

        self::assertCount(1, $cards, 'one card of the part, not one for each exercise');
    }

    /** @return iterable<string, array{int, ?bool}> days since the last practice, and whether that is long */
    public static function away(): iterable
    {
        yield 'a few days' => [5, null];
        yield 'more than a week' => [9, false];
        yield 'more than two' => [16, true];
    }

    #[DataProvider('away')]
    public function testWhoComesBackIsWelcomedAndBeginsLower(int $days, ?bool $isLong): void
    {
        $this->letIn();
        [$key] = $this->keysOf($this->plan());
        $this->signIn($this->therapist());
        $this->post('/clients/'.$this->odalys->id.'/logbook/paper', [
            'day' => (new \DateTimeImmutable('-'.$days.' days'))->format('Y-m-d'),
            'written_by' => 'Sister',
            'lines' => [$key => ['outcome' => 'done']],
        ]);
        /** @var array{days: int, isLong: bool}|null $back */
        $back = $this->day()['back'];

        self::assertSame($isLong, $back['isLong'] ?? null);
        self::assertSame(null !== $isLong, null !== $back);
    }

    public function testSomethingWrongHoldsAlertsAndIsAnsweredInWords(): void
    {
        $this->letIn();
        $handed = $this->handed();
        $this->send($handed, [
            $this->event('begun', null, ['list' => 'home', 'pain_before' => 1]),
            $this->event('wrong', '1', ['sign' => 'tingling', 'worse' => 'not-sure']),
        ]);

        $alert = $this->entities->getRepository(Alert::class)->findOneBy(['clientId' => $this->odalys->id])
            ?? self::fail('no alert');
        self::assertNotSame([], $this->entities->getRepository(Suspension::class)->findAll());
        $day = $this->day();
        self::assertSame(
            'Your message is here. Nobody may have read it yet.',
            $this->alertOf($day)['words'],
        );
        self::assertNotSame([], $day['held']);
        $held = $this->itemsOf(
            $this->entities->find(Sitting::class, $handed['slot']['id']) ?? self::fail(),
        )[1];
        self::assertNotContains($held->key()->text(), $this->keysOf($this->plan()), 'nor in the next plan');

        $this->signIn($this->therapist());
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/alerts/'.$alert->id);
        self::assertStringContainsString('has read it', $this->alertOf($this->day())['words']);
    }

    public function testAMessageIsKeptOnceAnsweredAndRead(): void
    {
        $this->letIn();
        $id = Uuid::v7()->toRfc4122();
        $told = [['id' => $id, 'kind' => 'message', 'body' => ['about' => 'exercise', 'text' => 'Too slippery.']]];
        $this->home('/home/told', ['told' => $told]);
        $this->home('/home/told', ['told' => $told]);
        self::assertSame(1, $this->entities->getRepository(Message::class)->count([]));
        $this->browser->request('GET', '/');
        self::assertStringContainsString('1 message from home', $this->shown());

        $this->post('/clients/'.$this->odalys->id.'/home/messages/'.$id, ['answer' => 'Use the dry towel.']);
        $message = $this->messageOf($this->day());
        self::assertSame('Use the dry towel.', $message['answer']);
        self::assertFalse($message['isRead']);
        $this->home('/home/told', ['told' => [
            ['id' => Uuid::v7()->toRfc4122(), 'kind' => 'read', 'body' => ['message' => $id]],
        ]]);
        self::assertTrue($this->messageOf($this->day())['isRead']);
    }

    public function testWhatChangedIsSaidOnceWithItsReason(): void
    {
        $this->letIn();
        $this->day();
        $items = $this->keysOf($this->plan());
        $key = end($items);
        self::assertIsString($key);
        $this->post(
            '/clients/'.$this->odalys->id.'/routine/edit',
            ['act' => 'out', 'item' => $key, 'note' => 'x'],
        );
        $this->day();
        foreach ($this->entities->getRepository(PlanChange::class)->findAll() as $change) {
            self::assertNotSame($change->before, $change->now);
        }
        $changes = (array) $this->day()['changes'];
        $ids = array_column($changes, 'id');
        $this->home('/home/told', ['told' => [
            ['id' => Uuid::v7()->toRfc4122(), 'kind' => 'changes', 'body' => ['ids' => $ids]],
        ]]);
        foreach ((array) $this->day()['changes'] as $change) {
            self::assertTrue(((array) $change)['isSeen']);
        }
    }

    public function testADiaryEntryAtItsMomentIsComparedAndAnotherIsNot(): void
    {
        $this->letIn();
        $this->post('/clients/'.$this->odalys->id.'/diary', ['first' => '08:00', 'second' => '18:00']);
        $zone = new \DateTimeZone($this->odalys->zone);
        $at = static fn (string $time): string => (new \DateTimeImmutable('yesterday '.$time, $zone))
            ->setTimezone(new \DateTimeZone('UTC'))->format('Y-m-d\TH:i:s\Z');
        $entry = static fn (string $time): array => [
            'id' => Uuid::v7()->toRfc4122(),
            'kind' => 'diary',
            'at' => $at($time),
            'body' => [
                'moment' => 'first',
                'trouble' => 'shaking',
                'hand' => 'right',
                'severity' => 0,
                'doing' => 'rest',
                'answers' => ['stress' => 4],
            ],
        ];
        $bad = $entry('08:10');
        $bad['body']['answers'] = ['stress' => 11];
        $answer = $this->home('/home/told', ['told' => [$entry('08:40'), $entry('11:00'), $bad]]);

        self::assertCount(2, (array) $answer['kept']);
        self::assertCount(1, (array) $answer['refused']);
        $late = array_map(
            static fn (DiaryEntry $e): bool => $e->isLate,
            $this->entities->getRepository(DiaryEntry::class)->findBy([], ['at' => 'ASC']),
        );
        self::assertSame([false, true], $late);
    }

    public function testTheClientSeesTheWorstOfEachDayTheyWrote(): void
    {
        $this->letIn();
        $this->post('/clients/'.$this->odalys->id.'/diary', ['first' => '08:00', 'second' => '18:00']);
        foreach ([[0, 3], [0, 6], [2, 0], [20, 9]] as [$ago, $severity]) {
            $at = new \DateTimeImmutable('-'.$ago.' days');
            $this->keep(new DiaryEntry(
                Uuid::v7()->toRfc4122(),
                $this->odalys->clinicId,
                $this->odalys->id,
                $this->devices()[0]->id,
                person: ActorKind::Client,
                moment: Moment::Now,
                day: Clock::dayOf($at, $this->odalys->zone),
                trouble: Trouble::Shaking,
                hand: Hands::Right,
                severity: $severity,
                doing: Doing::Writing,
                answers: [],
                isLate: false,
                at: $at,
                receivedAt: $at,
            ));
        }
        /** @var array{lately: list<array{day: string, worst: ?int}>} $diary */
        $diary = $this->day()['diary'];
        $lately = array_column($diary['lately'], 'worst');

        self::assertCount(14, $lately);
        self::assertSame(
            [0, null, 6],
            array_values(\array_slice($lately, -3)),
            'nought was written, and nothing is not nought',
        );
        self::assertNotContains(9, $lately);
    }

    public function testWhatComesFromADeviceThatIsOutIsKeptAsideAndASignStillAlerts(): void
    {
        $this->letIn();
        $handed = $this->handed();
        $device = $this->devices()[0];
        $this->post(
            '/clients/'.$this->odalys->id.'/home/devices/'.$device->id.'/out',
            ['why' => TakenOutWhy::Lost->value, 'lost_on' => (new \DateTimeImmutable('-1 day'))->format(
                'Y-m-d',
            )],
        );
        $this->browser->request('POST', '/home/day', server: self::origin(), content: '{}');
        $this->assertStatus(403);
        self::assertSame(['out' => 'taken-out'], json_decode($this->page(), true));

        $this->send($handed, [
            $this->event('begun', null, ['list' => 'home', 'pain_before' => 1]),
            $this->event('line', '1', ['outcome' => 'done']),
            $this->event('wrong', '2', ['sign' => 'tingling', 'worse' => 'yes']),
        ]);
        $sitting = $this->entities->find(Sitting::class, $handed['slot']['id']) ?? self::fail();
        self::assertCount(4, $this->eventsOf($sitting), 'with the word that the device is out');
        self::assertNull($this->itemsOf($sitting)[1]->told, 'no evidence');
        self::assertSame(1, $this->entities->getRepository(Alert::class)->count([]));
        $alert = $this->entities->getRepository(Alert::class)->findOneBy([]);

        $this->signIn($this->therapist());
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/alerts/'.$alert?->id);
        self::assertStringContainsString('from a removed device', $this->page());
        $this->post('/sittings/'.$sitting->id.'/looked', []);
        $this->entities->clear();
        self::assertSame(
            'done',
            $this->itemsOf($sitting)[1]->told['outcome'] ?? null,
            'once somebody has looked',
        );
    }

    public function testTakingBackTheConsentTakesTheDevicesOutAtOnce(): void
    {
        $this->letIn();
        $this->day();
        $consent = $this->entities->getRepository(Consent::class)->findOneBy([]) ?? self::fail();
        $this->post(
            '/clients/'.$this->odalys->id.'/home/consents/'.$consent->id.'/end',
            ['words' => 'I do not want it any more.'],
        );
        $this->browser->request('POST', '/home/day', server: self::origin(), content: '{}');
        $this->assertStatus(403);
    }

    public function testAWriteFromElsewhereIsRefused(): void
    {
        $this->letIn();
        foreach ([[], ['HTTP_ORIGIN' => 'https://elsewhere.example']] as $origin) {
            $this->browser->request('POST', '/home/told', server: $origin, content: '{"told":[]}');
            $this->assertStatus(400);
        }
    }

    public function testASecretIsChangedAfterAMonthAndTheOldOneOpensOnceMore(): void
    {
        $now = new \DateTimeImmutable();
        $device = new HomeDevice('c', 'x', null, 't', madeById: 's', madeAt: $now);
        $first = $device->secret->renew($now);
        self::assertFalse($device->secret->wasShown($first, $now->modify('+29 days')));
        self::assertTrue($device->secret->wasShown($first, $now->modify('+31 days')));
        $second = $device->secret->renew($now->modify('+31 days'));
        self::assertFalse(
            $device->secret->wasShown($first, $now->modify('+31 days 1 minute')),
            'sent together',
        );
        self::assertTrue($device->secret->wasShown($first, $now->modify('+32 days')), 'the answer was lost');
        $third = $device->secret->renew($now->modify('+32 days'));
        self::assertFalse($device->secret->wasShown($third, $now->modify('+33 days')));
        self::assertNotSame($second, $third);
    }

    public function testAHelperHearsOfStopsAndDiaryOnlyWhereTheClientAgreed(): void
    {
        $this->letIn();
        $handed = $this->handed();
        $this->send($handed, [
            $this->event('begun', null, ['list' => 'home', 'pain_before' => 1]),
            $this->event('wrong', '1', ['sign' => 'tingling', 'worse' => 'yes']),
        ]);
        $this->post('/clients/'.$this->odalys->id.'/diary', ['first' => '08:00', 'second' => '18:00']);
        $this->agree(ConsentKind::HelperSees);
        $this->letIn($this->sister());
        $day = $this->day();
        self::assertSame([], $day['alerts']);
        self::assertNull($day['diary']);
        self::assertNotSame([], $day['held'], 'what rests is known to whoever helps');

        $this->agree(ConsentKind::HelperHearsOfStops);
        $this->agree(ConsentKind::DiaryShared);
        $day = $this->day();
        self::assertNotSame([], $day['alerts']);
        self::assertNotNull($day['diary']);
    }

    public function testADeviceThatNobodyUsedForHalfAYearSleeps(): void
    {
        $this->letIn();
        $device = $this->devices()[0];
        self::assertFalse($device->isAsleep(new \DateTimeImmutable('+179 days')));
        $device->lastSeenAt = new \DateTimeImmutable('-181 days');
        $this->entities->flush();
        $this->browser->request('POST', '/home/day', server: self::origin(), content: '{}');
        $this->assertStatus(403);
        self::assertSame(['out' => 'asleep'], json_decode($this->page(), true));
    }

    public function testHowABlockWentIsSaidOnceAtHomeAndStandsInItsReview(): void
    {
        $block = $this->keep(new PlanBlock(
            $this->odalys->clinicId,
            $this->odalys->id,
            new \DateTimeImmutable('-15 days midnight'),
            14,
            sample: InkTask::cases()[0],
            byStaffId: $this->odalys->therapistId,
            at: new \DateTimeImmutable('-15 days'),
        ));
        $this->letIn();
        /** @var array{id: string, of: int} $asked */
        $asked = $this->day()['block'];
        self::assertSame([$block->id, 14], [$asked['id'], $asked['of']]);
        $tell = function (string $id, int $ease): array {
            $now = (new \DateTimeImmutable())->format(\DATE_RFC3339);

            return $this->home('/home/told', ['sent_at' => $now, 'told' => [[
                'id' => Uuid::v7()->toRfc4122(),
                'kind' => 'block',
                'at' => $now,
                'body' => ['block' => $id, 'ease' => $ease, 'content' => 5],
            ]]]);
        };
        self::assertNotSame([], $tell(Uuid::v7()->toRfc4122(), 6)['refused'], 'of no block that is over');
        self::assertSame([], $tell($block->id, 6)['refused']);
        self::assertSame([], $tell($block->id, 9)['refused'], 'said again, it changes nothing');
        self::assertNull($this->day()['block']);

        $this->signIn($this->therapist());
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/block/review');
        self::assertStringContainsString('goes 6 of 10', $this->shown());
        self::assertCheckboxChecked('ease');
    }

    public function testTheSampleOfABlockIsShownAtHomeOnlyWhenTheClientAgreed(): void
    {
        $begins = new \DateTimeImmutable('-15 days midnight');
        $this->keep(new PlanBlock(
            $this->odalys->clinicId,
            $this->odalys->id,
            $begins,
            14,
            sample: InkTask::Word,
            byStaffId: $this->odalys->therapistId,
            at: $begins,
        ));
        foreach ([[-15, 20], [-2, 40]] as [$days, $high]) {
            $this->keep(new Recording(
                $this->odalys->clinicId,
                $this->odalys->id,
                RecordingKind::Ink,
                InkTask::Word->value,
                side: Side::Right,
                raw: json_encode(
                    ['pixels_per_mm' => 4, 'strokes' => [[[0, 0, 0], [90, 40, $high], [180, 80, 0]]]],
                    \JSON_THROW_ON_ERROR,
                ),
                found: [],
                series: '',
                onDay: new \DateTimeImmutable($days.' days midnight'),
                at: new \DateTimeImmutable($days.' days'),
                byStaffId: $this->odalys->therapistId,
            ));
        }
        $this->letIn();
        self::assertNull(((array) $this->day()['block'])['sample']);

        $this->agree(ConsentKind::SampleKept);
        $shown = (array) ((array) $this->day()['block'])['sample'];
        self::assertSame(['2,2 12,7 22,2'], ((array) $shown['before'])['lines']);
        self::assertSame(['2,2 12,12 22,2'], ((array) $shown['now'])['lines'], 'at the same scale');
        self::assertEqualsWithDelta([24.0, 14.0], [$shown['width'], $shown['height']], 0.01);
    }

    public function testATrialOfBreaksRingsAtHalfOfWhatWasUsualBeforeIt(): void
    {
        $this->letIn();
        $today = new \DateTimeImmutable('today');
        $this->keep(new Diary(
            $this->odalys->clinicId,
            $this->odalys->id,
            '08:00',
            '18:00',
            beganOn: $today->modify('-20 days'),
            byId: $this->odalys->therapistId,
        ));
        foreach ([-20 => 30.0, -19 => 30.0, -18 => 20.0, -1 => 2.0, 0 => 2.0] as $days => $minutes) {
            $at = $today->modify($days.' days 08:00');
            $this->keep(new DiaryEntry(
                Uuid::v7()->toRfc4122(),
                $this->odalys->clinicId,
                $this->odalys->id,
                $this->devices()[0]->id,
                person: ActorKind::Client,
                moment: Moment::First,
                day: $today->modify($days.' days'),
                trouble: Trouble::Cramp,
                hand: Hands::Right,
                severity: 4,
                doing: Doing::FineWork,
                answers: [Factor::FineWorkMinutes->value => $minutes],
                isLate: false,
                at: $at,
                receivedAt: $at,
            ));
        }
        $before = (array) $this->day()['diary'];
        self::assertNull($before['trial']);
        $this->keep(new DiaryTrial(
            $this->odalys->clinicId,
            $this->odalys->id,
            Factor::FineWorkMinutes,
            $today->modify('-5 days'),
            byId: $this->odalys->therapistId,
        ));
        $shown = (array) ((array) $this->day()['diary'])['trial'];
        self::assertSame(15, $shown['bell']);
        self::assertStringContainsString('every 15 minutes', self::text($shown['words']));
    }

    public function testTheActOfTheDayIsTickedOnceADayAndAnotherOneBeginsAnew(): void
    {
        $this->letIn();
        self::assertNull($this->day()['use']);
        $choose = fn (string $words): mixed => $this->post(
            '/clients/'.$this->odalys->id.'/use-it',
            ['words' => $words],
        );
        $choose('Hold the cup while I pour');
        $use = (array) $this->day()['use'];
        self::assertSame(['Hold the cup while I pour', false], [$use['words'], $use['isDone']]);
        foreach ([1, 2] as $ignored) {
            $now = (new \DateTimeImmutable())->format(\DATE_RFC3339);
            $told = $this->home('/home/told', ['sent_at' => $now, 'told' => [[
                'id' => Uuid::v7()->toRfc4122(),
                'kind' => 'used',
                'at' => $now,
                'body' => ['use' => $use['id']],
            ]]]);
            self::assertSame([], $told['refused'], (string) $ignored);
        }
        $done = (array) $this->day()['use'];
        self::assertTrue($done['isDone']);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/goals');
        self::assertCount(1, $this->browser->getCrawler()->filter('.use-days .is-done'));

        $choose('Push the door with it');
        $other = (array) $this->day()['use'];
        self::assertSame(['Push the door with it', false], [$other['words'], $other['isDone']]);
        $choose('');
        $none = $this->day()['use'];
        self::assertNull($none);
    }

    public function testAPlanIsKeptByVersionAndHandsOutWhatIsNeededOnce(): void
    {
        $this->letIn();
        $first = $this->asked('', []);
        $plan = (array) $first['plan'];
        $slots = array_column((array) $first['slots'], 'id');
        self::assertNotSame([], $slots);
        $again = $this->asked(self::text($plan['hash']), $slots);
        self::assertNull($again['plan'], 'it has this version');
        self::assertSame([], $again['slots'], 'it has enough');
        $lost = $this->asked(self::text($plan['hash']), \array_slice($slots, 0, 2));
        self::assertCount(\count($slots) - 2, (array) $lost['slots']);
    }

    /**
     * @param array{hash: string, sheet: array<string, mixed>} $plan
     *
     * @return list<string>
     */
    private function keysOf(array $plan): array
    {
        /** @var array{home: array{items: list<array{key: string}>}} $lists */
        $lists = $plan['sheet']['lists'];

        return array_column($lists['home']['items'], 'key');
    }

    /** @return list<SittingEvent> */
    private function eventsOf(Sitting $sitting): array
    {
        return $this->entities->getRepository(SittingEvent::class)->findBy(['sittingId' => $sitting->id]);
    }

    /**
     * @param array<string, mixed> $day
     *
     * @return array{words: string}
     */
    private function alertOf(array $day): array
    {
        /** @var list<array{words: string}> $alerts */
        $alerts = $day['alerts'];

        return $alerts[0] ?? self::fail('no alert at home');
    }

    /**
     * @param array<string, mixed> $day
     *
     * @return array{answer: string, isRead: bool}
     */
    private function messageOf(array $day): array
    {
        /** @var list<array{answer: string, isRead: bool}> $messages */
        $messages = $day['messages'];

        return $messages[0] ?? self::fail('no message at home');
    }

    private static function text(mixed $value): string
    {
        self::assertIsString($value);

        return $value;
    }
}
