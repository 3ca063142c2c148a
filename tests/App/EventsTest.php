<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Actor\Actor;
use HandGarden\Core\Placement\Decided;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Sitting\EventKind;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\EventTime;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingEvent;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingSecret;
use Symfony\Component\EventDispatcher\EventDispatcherInterface;
use Symfony\Component\HttpKernel\KernelEvents;
use Symfony\Component\Uid\Uuid;

/** What a player sends: batches of events, each kept once, in whatever order and however often they come. */
final class EventsTest extends OdalysTestCase
{
    private const DEVICE = '018f3a52-0000-7000-8000-000000000001';

    private Sitting $sitting;

    private int $seq = 0;

    private string $secret = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->post(
            '/clients/'.$this->odalys->id.'/sittings/new',
            ['pain_before' => '1', 'hurt_later' => 'no', 'help' => 'none'],
        );
        $this->sitting = $this->entities->getRepository(Sitting::class)->findOneBy(
            ['clientId' => $this->odalys->id],
            ['id' => 'DESC'],
        ) ?? self::fail('no sitting');
    }

    public function testASittingIsPlayedFromTheScoreItWasBegunWith(): void
    {
        /** @var array{score: array{items: list<array{id: string}>, stretches: list<array{cues: list<array{s: float}>}>,
         *     stops: list<mixed>}} $sheet */
        $sheet = $this->opened();

        self::assertSame(
            array_column($this->items(), 'id'),
            array_column($sheet['score']['items'], 'id'),
        );
        self::assertNotSame([], $sheet['score']['stops']);
        foreach ($sheet['score']['stretches'] as $stretch) {
            self::assertGreaterThan(9.0, array_sum(array_column($stretch['cues'], 's')));
        }
        self::assertStringNotContainsString('{side}', $this->page());
        self::assertStringNotContainsString('{unit}', $this->page());
    }

    public function testABatchIsKeptOnceHoweverOftenItComesAndInWhateverOrder(): void
    {
        $item = $this->items()[1];
        $events = [
            $this->event('counted', $item, ['repetitions' => 2]),
            $this->event('counted', $item, ['repetitions' => 4]),
            $this->event('line', $item, ['outcome' => 'done', 'felt' => 'right']),
            $this->event('noticed', $item, ['warmer' => 'left']),
        ];

        self::assertCount(4, $this->sent($events)['kept']);
        $first = $this->toldOf($item);
        self::assertCount(4, $this->sent(array_reverse($events))['kept']);
        self::assertCount(4, $this->sent([$events[2], $events[0]])['kept'] + $this->sent($events)['kept']);

        self::assertSame($first, $this->toldOf($item));
        self::assertSame(
            ['outcome' => 'done', 'repetitions' => 4, 'felt' => 'right', 'noticed' => ['warmer' => 'left']],
            $first,
        );
        self::assertCount(4, $this->entities->getRepository(SittingEvent::class)->findBy(
            ['sittingId' => $this->sitting->id, 'itemId' => $item->id],
        ));
    }

    public function testABatchAsksFewThingsOfTheDatabaseHoweverMuchItTells(): void
    {
        $this->sent([$this->event('line', $this->items()[0], ['outcome' => 'done'])]);
        $batch = [];
        foreach (\array_slice($this->items(), 0, 7) as $item) {
            $batch[] = $this->event('counted', $item, ['repetitions' => 2]);
            $batch[] = $this->event('counted', $item, ['repetitions' => 3]);
            $batch[] = $this->event('line', $item, ['outcome' => 'part']);
        }
        $this->entities->clear();
        $log = $this->service(QueryLog::class);
        $log->count = 0;
        $asked = null;
        $this->service(EventDispatcherInterface::class)->addListener(
            KernelEvents::TERMINATE, // rows of lists are worked out after the answer
            static function () use ($log, &$asked): void {
                $asked ??= $log->count;
            },
            1000,
        );

        self::assertCount(21, $this->sent($batch)['kept']);
        self::assertLessThanOrEqual(8, $asked);
        self::assertGreaterThan(0, $asked);
    }

    public function testWhatComesTwoWeeksLateIsKeptAsideUntilATherapistLooksButAlertsAtOnce(): void
    {
        $item = $this->items()[1];
        $this->secret();
        $this->keep(SittingEvent::noted(
            $this->sitting,
            null,
            EventKind::Begun,
            Actor::staff($this->therapist->id),
            time: EventTime::now(new \DateTimeImmutable('-15 days'), 'UTC'),
        ));
        $this->sent([
            $this->event('line', $item, ['outcome' => 'done', 'new_tingling' => true]),
        ]);
        self::assertSame([], $this->items()[1]->told ?? []);
        self::assertCount(1, $this->suspended(), 'what was wrong holds at once');
        self::assertCount(1, $this->alerts());

        $record = '/sittings/'.$this->sitting->id.'/record';
        $this->browser->request('GET', $record);
        self::assertStringContainsString('One act waits', $this->page());
        $this->post('/sittings/'.$this->sitting->id.'/looked', []);
        $this->browser->request('GET', $record);
        self::assertStringNotContainsString('One act waits', $this->page());
        self::assertSame('done', $this->toldOf($item)['outcome'] ?? null);
    }

    public function testPainAtTheEndOfALaterSittingDoesNotUndoWhatATherapistReopened(): void
    {
        $this->sent([
            $this->event('line', $this->items()[1], ['outcome' => 'part', 'systemic' => true]),
        ]);
        self::assertSame([Decided::EVERYTHING], $this->suspended());
        $suspension = $this->entities->getRepository(Suspension::class)->findAll()[0];
        $this->post(
            '/clients/'.$this->odalys->id.'/suspensions/'.$suspension->id,
            ['note' => 'Blood pressure looked at: fine.'],
        );
        $this->sent([$this->event('after', null, ['pain' => 1])]);
        [$this->secret, $kept] = SittingSecret::of(
            $later = $this->sitting($this->odalys, $this->therapist),
            Actor::staff($this->therapist->id),
            $later->startedAt,
        );
        $this->keep($kept);
        $this->sitting = $later;
        $this->sent([
            $this->event('line', $this->items()[0], ['outcome' => 'done']),
            $this->event('after', null, ['pain' => 1]),
        ]);

        self::assertCount(1, $this->suspended(), 'the one that was reopened');
    }

    public function testPainAtTheEndThatIsSentAgainDoesNotUndoWhatATherapistReopenedSince(): void
    {
        $item = $this->items()[1];
        $line = $this->event('line', $item, ['outcome' => 'done', 'pain_after' => 8]);
        $after = $this->event('after', null, ['pain' => 8]);
        $this->sent([$line, $after]);
        $suspended = \count($this->suspended());
        self::assertGreaterThan(0, $suspended);
        sleep(1); // times are kept in seconds
        foreach ($this->entities->getRepository(Suspension::class)->findAll() as $one) {
            $this->post(
                '/clients/'.$this->odalys->id.'/suspensions/'.$one->id,
                ['note' => 'Looked at it: the strap was too tight.'],
            );
        }
        $this->sent([$after]);

        self::assertCount($suspended, $this->suspended());
    }

    public function testANameThatAnotherSittingUsedIsRefusedAndTheRestIsTaken(): void
    {
        $taken = $this->event('line', $this->items()[0], ['outcome' => 'done']);
        $this->sent([$taken]);
        $other = $this->sitting($this->odalys, $this->therapist);
        [$this->secret, $kept] = SittingSecret::of(
            $other,
            Actor::staff($this->therapist->id),
            $other->startedAt,
        );
        $this->keep($kept);
        $this->sitting = $other;
        $same = ['id' => $taken['id']] + $this->event('line', $this->items()[0], ['outcome' => 'done']);
        $answer = $this->sent([
            $same,
            $this->event('line', $this->items()[1], ['outcome' => 'part']),
        ]);

        self::assertCount(1, $answer['kept']);
        self::assertSame([$taken['id']], array_column($answer['refused'], 'id'));
        self::assertSame([], $this->items()[0]->told ?? []);
    }

    public function testWhatCanNeverBeTakenIsNamedAndDoesNotStandBeforeTheRest(): void
    {
        $item = $this->items()[0];
        $bad = $this->event('line', $item, ['outcome' => 'splendid']);
        $answer = $this->sent([
            $bad,
            $this->event('line', $item, ['outcome' => 'part']),
            ['id' => 'no uuid'] + $this->event('line', $item, ['outcome' => 'done']),
            ['item' => Uuid::v4()->toRfc4122()] + $this->event('line', $item, ['outcome' => 'done']),
            $this->event('line', null, ['outcome' => 'done']),
            $this->event('begun', null, []),
        ]);

        self::assertCount(1, $answer['kept']);
        self::assertCount(5, $answer['refused']);
        self::assertSame($bad['id'], $answer['refused'][0]['id']);
        self::assertStringContainsString('outcome', $answer['refused'][0]['problem']);
        self::assertSame('part', $this->toldOf($item)['outcome'] ?? null);
    }

    public function testSignsOfAStrokeHoldEverythingAndTellAtOnce(): void
    {
        $item = $this->items()[1];
        $this->sent([$this->event('wrong', $item, ['sign' => 'stroke', 'began' => '09:10'])]);

        self::assertSame([Decided::EVERYTHING], $this->suspended());
        self::assertSame(
            [AlertKind::Emergency],
            array_column($this->alerts(), 'kind'),
        );
        self::assertSame(
            ['outcome' => 'part', 'systemic' => true],
            $this->toldOf($item),
        );
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/decisions');
        self::assertStringContainsString(
            'Wrist ease-back: signs of a stroke',
            $this->shown(),
        );
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/sittings/new');
        self::assertStringContainsString('suspended', $this->shown());
    }

    public function testDizzyIsNoEmergencyAndHoldsEverythingAllTheSame(): void
    {
        $this->sent([$this->event('wrong', null, ['sign' => 'dizzy', 'worse' => 'no'])]);

        self::assertSame([Decided::EVERYTHING], $this->suspended());
        self::assertSame([AlertKind::Stop], array_column($this->alerts(), 'kind'));
    }

    public function testNewTinglingHoldsTheItemAndKnownTinglingNothing(): void
    {
        [, $one, $other] = $this->items();
        $this->sent([
            $this->event('wrong', $one, ['sign' => 'tingling', 'worse' => 'not-sure']),
            $this->event('wrong', $other, ['sign' => 'tingling', 'worse' => 'no']),
        ]);

        self::assertSame([$one->rungId.'|'.$one->hands->value], $this->suspended());
        self::assertSame([AlertKind::Part], array_column($this->alerts(), 'kind'));
    }

    public function testAnEventIsAsOldAsItsAgeWhereTheClockWasAheadAndWasPutRight(): void
    {
        $now = new \DateTimeImmutable();
        $made = $this->event('finished', null, []);
        $made['at'] = $now->modify('+1 day')->format(\DATE_RFC3339);
        $made['age'] = 1200;

        $this->sent([$made]);
        $event = $this->entities->getRepository(SittingEvent::class)->find($made['id']);
        self::assertNotNull($event);
        self::assertEqualsWithDelta($now->getTimestamp() - 1200, $event->at->getTimestamp(), 30);
    }

    public function testTheEndIsAnEventAndKeepsTheNote(): void
    {
        $this->sent([
            $this->event('after', null, ['pain' => 2, 'felt' => 'too-hard', 'note' => 'Went well.']),
            $this->event('finished', null, []),
        ]);

        $this->entities->clear();
        $sitting = $this->entities->find(Sitting::class, $this->sitting->id);
        self::assertNotNull($sitting?->finishedAt);
        self::assertSame('Went well.', $sitting->note);
    }

    public function testPainToldAtTheEndIsThatOfEveryItemWithoutAnAnswerOfItsOwn(): void
    {
        [$one, $other, $third] = $this->items();
        $after = $this->event('after', null, ['pain' => 3, 'felt' => 'too-hard']);
        $own = $this->event('line', $other, ['outcome' => 'done', 'pain_after' => 5]);
        $this->sent([$this->event('line', $one, ['outcome' => 'done'])]);
        $this->sent([$after]);
        $this->sent([$own]);

        self::assertSame([3, 'too-hard'], [
            $this->toldOf($one)['pain_after'],
            $this->toldOf($one)['whole'],
        ]);
        self::assertSame(5, $this->toldOf($other)['pain_after']);
        self::assertSame([], $this->toldOf($third));
    }

    public function testTheRecordSaysWhatWasPlannedDoneAndSaidByWhomAndWhatWasCorrected(): void
    {
        $item = $this->items()[1];
        $this->sent([
            $this->event('line', $item, ['outcome' => 'part', 'repetitions' => 2, 'reason' => 'tired']),
            $this->event('wrong', $item, ['sign' => 'pain', 'strength' => 5]),
            $this->event('line', $item, ['outcome' => 'done', 'felt' => 'right', 'note' => 'A <b>word</b>']),
            $this->event('after', null, ['pain' => 2, 'felt' => 'too-hard']),
        ]);

        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/sittings/new');
        self::assertStringContainsString('begun at', $this->shown());
        $this->browser->request('GET', '/sittings/'.$this->sitting->id.'/record');
        $this->assertStatus(200);
        $page = $this->shown();
        foreach (
            [
                'run by Sefa Ouland, not finished',
                'Pain before 1.',
                'Pain at the end 2.',
                'The whole was too hard.',
                'done, right, pain ? → 5',
                'a part, because: Tired, 2 counted',
                'A &lt;b&gt;word&lt;/b&gt;',
                'in place of the line before',
                'something wrong of',
                'Pain, 5',
            ] as $said
        ) {
            self::assertStringContainsString($said, $page);
        }
    }

    public function testStrongPainToldAtTheEndHoldsWhatWasDone(): void
    {
        $item = $this->items()[1];
        $this->sent([
            $this->event('line', $item, ['outcome' => 'done']),
            $this->event('after', null, ['pain' => 8]),
        ]);

        self::assertContains(
            $item->rungId.'|'.$item->hands->value,
            $this->suspended(),
        );
        self::assertSame([AlertKind::Part], array_column($this->alerts(), 'kind'));
    }

    public function testEventsGoUnderTheNameOfWhoOpenedTheSittingWhoeverIsSignedIn(): void
    {
        $event = $this->event('finished', null, []);
        $this->secret();
        $this->signIn($this->staff($this->clinic('Elsewhere')));
        self::assertSame(
            404,
            $this->postJson('/sittings/'.$this->sitting->id.'/open', []),
        );
        self::assertSame(
            200,
            $this->play($this->batch([$event])),
            'who is signed in does not matter',
        );
        self::assertSame(
            $this->sitting->actorId,
            $this->entities->find(SittingEvent::class, $event['id'])?->actorId,
        );
    }

    public function testWithoutTheSecretOfTheSittingNothingIsTaken(): void
    {
        $batch = $this->batch([$this->event('finished', null, [])]);
        $this->secret = 'guessed';
        self::assertSame(401, $this->play($batch));

        $this->secret = '';
        self::assertSame(401, $this->play($batch));
        $this->entities->clear();
        self::assertNull($this->entities->find(Sitting::class, $this->sitting->id)?->finishedAt);
    }

    public function testABatchThatIsNoneIsRefusedWhole(): void
    {
        $this->secret();

        self::assertSame(422, $this->play(['events' => []]));
        self::assertSame(422, $this->play(['device' => self::DEVICE, 'events' => 'many']));
        self::assertSame(422, $this->play($this->batch(array_fill(0, 201, []))));
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed>
     */
    private function event(string $kind, ?SittingItem $item, array $body): array
    {
        return array_filter([
            'id' => Uuid::v4()->toRfc4122(),
            'seq' => ++$this->seq,
            'kind' => $kind,
            'item' => $item?->id,
            'body' => (object) $body,
        ], static fn (mixed $value): bool => null !== $value);
    }

    /**
     * @param list<array<string, mixed>> $events
     *
     * @return array<string, mixed>
     */
    private function batch(array $events): array
    {
        return ['device' => self::DEVICE, 'events' => $events];
    }

    /**
     * @param list<array<string, mixed>> $events
     *
     * @return array{kept: list<string>, refused: list<array{id: string, problem: string}>}
     */
    private function sent(array $events): array
    {
        $this->secret();
        self::assertSame(200, $this->play($this->batch($events)));
        /** @var array{kept: list<string>, refused: list<array{id: string, problem: string}>} $answer */
        $answer = json_decode($this->page(), true, 512, \JSON_THROW_ON_ERROR);

        return $answer;
    }

    /** @return array<string, mixed> */
    private function opened(): array
    {
        self::assertSame(
            200,
            $this->postJson('/sittings/'.$this->sitting->id.'/open', []),
        );
        /** @var array<string, mixed> $sheet */
        $sheet = json_decode($this->page(), true, 512, \JSON_THROW_ON_ERROR);

        return $sheet;
    }

    private function secret(): void
    {
        if ('' === $this->secret) {
            $secret = $this->opened()['secret'];
            self::assertIsString($secret);
            $this->secret = $secret;
        }
    }

    /** @param array<string, mixed> $batch */
    private function play(array $batch): int
    {
        $this->browser->request(
            'POST',
            '/played/events',
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_AUTHORIZATION' => 'Bearer '.$this->secret],
            content: json_encode($batch, \JSON_THROW_ON_ERROR),
        );

        return $this->browser->getResponse()->getStatusCode();
    }

    /** @return list<SittingItem> */
    private function items(): array
    {
        $this->entities->clear();

        return $this->entities->getRepository(SittingItem::class)->findBy(
            ['sittingId' => $this->sitting->id],
            ['place' => 'ASC'],
        );
    }

    /** @return array<string, mixed> */
    private function toldOf(SittingItem $item): array
    {
        foreach ($this->items() as $kept) {
            if ($kept->id === $item->id) {
                $told = $kept->told ?? [];
                $order = ['outcome', 'repetitions', 'systemic', 'felt', 'noticed'];
                uksort($told, static fn (string $a, string $b): int => array_search($a, $order, true)
                    <=> array_search($b, $order, true));

                return $told;
            }
        }
        self::fail('the item is gone');
    }

    /** @return list<string> */
    private function suspended(): array
    {
        return array_column($this->entities->getRepository(Suspension::class)->findBy(
            ['clientId' => $this->odalys->id],
        ), 'itemKey');
    }

    /** @return list<Alert> */
    private function alerts(): array
    {
        return $this->entities->getRepository(Alert::class)->findBy(['clientId' => $this->odalys->id]);
    }
}
