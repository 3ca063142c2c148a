<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Client\Client;
use HandGarden\Client\ScreeningAnswer;
use HandGarden\Core\GroupWork\Version;
use HandGarden\Core\Home\ConsentKind;
use HandGarden\Core\Home\ConsentWay;
use HandGarden\Core\Progress\Outcome;
use HandGarden\Core\Screening\Answer;
use HandGarden\GroupWork\CardFormat;
use HandGarden\GroupWork\Classes;
use HandGarden\GroupWork\ClassPlan;
use HandGarden\GroupWork\ClassRun;
use HandGarden\GroupWork\HandClass;
use HandGarden\GroupWork\RunPlace;
use HandGarden\Home\Consent;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\SittingItem;
use HandGarden\Sitting\SittingRepository;

/** Several clients at one wall: each by a card of their own, each with a record of their own. */
final class ClassTest extends OdalysTestCase
{
    private const EXERCISES = ['quiet-hand-warm-up', 'textured-ball-hand-roll', 'open-rest-long-breath'];

    private HandClass $hands;

    protected function setUp(): void
    {
        parent::setUp();
        $this->hands = new HandClass(
            $this->odalys->clinicId,
            'Tuesday hands',
            $this->therapist->id,
            new \DateTimeImmutable(),
        );
        $this->hands->rungs = self::EXERCISES;
        $this->service(Classes::class)->keep($this->hands);
    }

    public function testNobodySitsInAClassWhoHasNotAgreed(): void
    {
        $this->give($this->odalys);
        self::assertSame([], $this->hands->places());
        self::assertStringContainsString('has not agreed to group work', $this->page());

        $consent = $this->agree($this->odalys);
        $this->give($this->odalys);
        self::assertSame([1 => $this->odalys->id], $this->hands->places());

        $given = $this->entities->find(Consent::class, $consent->id);
        self::assertNotNull($given);
        $given->endedAt = new \DateTimeImmutable();
        $this->entities->flush();
        $this->browser->request('GET', $this->at('/begin'));
        self::assertStringContainsString('Has not agreed to group work.', $this->page());
        self::assertSame(422, $this->begin([1]), 'taken back: there is nobody left');
    }

    public function testWhoeverSitsSomewhereKeepsTheirNumber(): void
    {
        $others = [$this->other('Anna'), $this->other('Beno')];
        foreach ([$this->odalys, ...$others] as $client) {
            $this->agree($client);
            $this->give($client);
        }
        $this->change('gone', $this->odalys->id);
        self::assertSame([2 => $others[0]->id, 3 => $others[1]->id], $this->hands->places());
        $this->give($this->odalys);
        self::assertSame($this->odalys->id, $this->hands->places()[1]);
    }

    public function testEnoughOfTheStaffAreThereOrItDoesNotBegin(): void
    {
        $this->place($this->odalys);
        $this->place($this->other('Anna'));
        $this->answer($this->odalys, 'judgement', Answer::Yes);

        self::assertSame(422, $this->begin([1, 2]), 'one of them needs somebody beside them alone');
        self::assertStringContainsString('2 of the staff are needed', $this->page());
        $this->change('staff', '', ['staff' => '2']);
        self::assertSame(303, $this->begin([1, 2]));
    }

    public function testPainIsAskedOfEverybodyAndWhatWasTypedStays(): void
    {
        $this->place($this->odalys);
        $this->place($this->other('Anna'));

        self::assertSame(422, $this->begin([1, 2], pain: ['3', '']));
        self::assertStringContainsString('Ask for pain now', $this->page());
        self::assertSelectorExists('input[name="pain_1"][value="3"][checked]');
        self::assertNull($this->service(Classes::class)->running($this->hands), 'nothing has begun');
    }

    public function testMarkedForAllIsDoneAndNoEvidence(): void
    {
        $run = $this->led([$this->odalys, $this->other('Anna')], at: 1);
        $this->act($run, 'shown');

        $items = $this->items($run, 1);
        self::assertSame(['done', 'done', null], array_map(
            static fn (SittingItem $i): mixed => $i->told['outcome'] ?? null,
            $items,
        ), 'what the wall has not shown was not done');
        foreach (\array_slice($items, 0, 2) as $item) {
            self::assertSame(['outcome' => 'done', 'as_shown' => true], array_diff_key($item->told ?? [], [
                'compensations' => 1,
            ]));
        }
        $log = $this->service(SittingRepository::class)->log($this->odalys);
        self::assertCount(2, $log->lines);
        foreach ($log->lines as $line) {
            self::assertFalse($line->metTarget());
            self::assertSame(Outcome::Done, $line->outcome);
        }
    }

    public function testAnExceptionCountsInsteadAndAMarkTakesNothingBack(): void
    {
        $run = $this->led([$this->odalys, $this->other('Anna')], at: 2);
        $this->act($run, 'shown');
        $item = $this->items($run, 1)[1];
        $this->post('/sittings/'.$item->sittingId.'/log', [
            'id' => '6fb0bd1c-9e56-4b51-a4fd-a7de3f1b8f01',
            'item' => $item->id,
            'outcome' => 'part',
            'pain_after' => '2',
        ]);
        $this->act($run, 'shown');

        $told = $this->items($run, 1)[1]->told ?? [];
        self::assertSame('part', $told['outcome']);
        self::assertSame(2, $told['pain_after']);
        self::assertArrayNotHasKey('as_shown', $told);
    }

    public function testEachHasASittingOfTheirOwnThatEndsWithTheClass(): void
    {
        $run = $this->led([$this->odalys, $this->other('Anna')], at: 0);
        foreach ($this->service(Classes::class)->places($run) as $place) {
            $sitting = $this->service(SittingRepository::class)->find($place->clinicId, $place->sittingId);
            self::assertNotNull($sitting);
            self::assertTrue($sitting->inClass);
            self::assertSame($place->clientId, $sitting->clientId);
            self::assertNull($sitting->finishedAt);
        }
        $this->act($run, 'end');
        foreach ($this->service(Classes::class)->places($run) as $place) {
            $sitting = $this->service(SittingRepository::class)->find($place->clinicId, $place->sittingId);
            self::assertNotNull($sitting?->finishedAt);
        }
        self::assertNull($this->service(Classes::class)->running($this->hands));
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/logbook');
        self::assertStringContainsString('in a class', $this->page());
    }

    public function testSomethingWrongStopsOnePlaceAndAnEmergencyTheWall(): void
    {
        $run = $this->led([$this->odalys, $this->other('Anna')], at: 0);
        [$one, $two] = $this->service(Classes::class)->places($run);

        $this->tell($one, ['sign' => 'pain', 'strength' => 8]);
        self::assertSame([true, false], $this->calls($run));
        self::assertFalse($this->state($run)['stopped']);
        self::assertCount(1, $this->entities->getRepository(Alert::class)->findAll());

        $this->act($run, 'came', ['place' => '1']);
        self::assertSame([false, false], $this->calls($run));
        self::assertCount(1, $this->entities->getRepository(Alert::class)->findBy(['answeredAt' => null]));

        $this->tell($two, ['sign' => 'stroke']);
        self::assertTrue($this->state($run)['stopped']);
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->act($run, 'on');
        self::assertTrue($this->state($run)['stopped'], 'an assistant does not let it go on');
        $this->signIn($this->therapist);
        $this->act($run, 'on');
        self::assertFalse($this->state($run)['stopped']);

        $this->act($run, 'shown');
        self::assertSame(
            [],
            array_filter(
                $this->items($run, 2),
                static fn (SittingItem $i): bool => 'done' === ($i->told['outcome'] ?? ''),
            ),
            'where an emergency ended it nothing is marked as done',
        );
    }

    public function testTheWallKnowsNobody(): void
    {
        $run = $this->led([$this->odalys, $this->other('Anna')], at: 0);
        foreach (['/wall', '/sheet', '/state'] as $page) {
            $this->browser->request('GET', '/class-runs/'.$run->id.$page);
            self::assertResponseIsSuccessful();
            foreach (['Odalys', 'Brandt', 'Anna', $this->odalys->id] as $told) {
                self::assertStringNotContainsString($told, $this->page(), $page);
            }
        }
    }

    public function testASuggestionAndItsCardsAskForNobodysHands(): void
    {
        $this->place($this->odalys);
        $this->place($this->other('Anna'));
        $this->change('suggest', '', ['minutes' => '25']);

        self::assertGreaterThan(2, \count($this->hands->rungs));
        $card = $this->service(ClassPlan::class)->card($this->hands, $this->odalys);
        self::assertCount(\count($this->hands->rungs), $card);
        foreach ($card as $one) {
            self::assertSame(Version::Rest === $one->version, null === $one->item);
        }
        $this->browser->request('GET', $this->at('/cards.pdf'));
        self::assertStringStartsWith('%PDF', (string) $this->browser->getResponse()->getContent());
    }

    private function at(string $page = ''): string
    {
        return '/classes/'.$this->hands->id.$page;
    }

    private function give(Client $client): void
    {
        $this->change('place', $client->id);
    }

    /** @param array<string, string> $more */
    private function change(string $do, string $value, array $more = []): void
    {
        $this->post($this->at(), ['do' => $do, 'value' => $value] + $more);
        $this->browser->followRedirect();
        $this->entities->clear();
        $this->hands = $this->entities->find(HandClass::class, $this->hands->id) ?? $this->hands;
    }

    private function place(Client $client): void
    {
        $this->agree($client);
        $this->give($client);
    }

    /**
     * @param list<int>    $here
     * @param list<string> $pain one for each of them
     */
    private function begin(array $here, array $pain = []): int
    {
        $form = [];
        foreach ($here as $nth => $number) {
            $form['here_'.$number] = '1';
            $form['pain_'.$number] = $pain[$nth] ?? '1';
        }
        $this->post($this->at('/begin'), $form);

        return $this->browser->getResponse()->getStatusCode();
    }

    /** @param list<Client> $clients */
    private function led(array $clients, int $at): ClassRun
    {
        array_map($this->place(...), $clients);
        self::assertSame(303, $this->begin(range(1, \count($clients))));
        $run = $this->service(Classes::class)->running($this->hands);
        self::assertNotNull($run);
        foreach ($this->service(Classes::class)->places($run) as $place) {
            $versions = array_column(CardFormat::read($place->card), 'version');
            self::assertNotContains(
                Version::Rest,
                $versions,
                json_encode($place->card, \JSON_THROW_ON_ERROR),
            );
        }
        $this->post('/class-runs/'.$run->id.'/at', ['at' => (string) $at]);
        self::assertResponseIsSuccessful();

        return $run;
    }

    /** @param array<string, string> $more */
    private function act(ClassRun $run, string $do, array $more = []): void
    {
        $this->post('/class-runs/'.$run->id.'/act', ['do' => $do] + $more);
        self::assertResponseRedirects('/class-runs/'.$run->id);
        $this->entities->clear();
    }

    /** @return list<SittingItem> */
    private function items(ClassRun $run, int $number): array
    {
        $this->entities->clear();
        $place = $this->service(Classes::class)->places($run)[$number - 1];

        return $this->entities->getRepository(SittingItem::class)->findBy(
            ['sittingId' => $place->sittingId],
            ['place' => 'ASC'],
        );
    }

    /** @param array<string, mixed> $wrong */
    private function tell(RunPlace $place, array $wrong): void
    {
        $this->post('/sittings/'.$place->sittingId.'/open', []);
        $opened = json_decode($this->page(), true);
        self::assertIsArray($opened);
        self::assertIsString($opened['secret']);
        $item = $this->entities->getRepository(SittingItem::class)->findOneBy(
            ['sittingId' => $place->sittingId, 'place' => 0],
        );
        $this->browser->jsonRequest('POST', '/played/events', [
            'device' => 'b8f6e9f2-5d2c-4d39-8a2e-36a3f5f0c7aa',
            'events' => [[
                'id' => \Symfony\Component\Uid\Uuid::v4()->toRfc4122(),
                'seq' => 1,
                'kind' => 'wrong',
                'item' => $item?->id,
                'body' => $wrong,
            ]],
        ], ['HTTP_AUTHORIZATION' => 'Bearer '.$opened['secret']]);
        self::assertStringContainsString('"refused":[]', $this->page());
    }

    /** @return array<string, mixed> */
    private function state(ClassRun $run): array
    {
        $this->browser->request('GET', '/class-runs/'.$run->id.'/state');
        $state = json_decode($this->page(), true);
        self::assertIsArray($state);

        /** @var array<string, mixed> $state */
        return $state;
    }

    /** @return list<mixed> by place */
    private function calls(ClassRun $run): array
    {
        $places = $this->state($run)['places'];
        self::assertIsArray($places);

        return array_column($places, 'called');
    }

    private function agree(Client $client): Consent
    {
        $consent = new Consent(
            $client->clinicId,
            $client->id,
            ConsentKind::GroupWork,
            $client->name(),
            way: ConsentWay::Spoken,
            givenOn: new \DateTimeImmutable('today'),
            words: '',
            keptById: $this->therapist->id,
            keptAt: new \DateTimeImmutable(),
        );
        $this->entities->persist($consent);
        $this->entities->flush();

        return $consent;
    }

    private function answer(Client $client, string $question, Answer $answer): void
    {
        $this->entities->persist(new ScreeningAnswer(
            $client->clinicId,
            $client->id,
            $question,
            $answer,
            askedOn: new \DateTimeImmutable('today'),
            byStaffId: $this->therapist->id,
            at: new \DateTimeImmutable('+1 second'),
        ));
        $this->entities->flush();
    }

    private function other(string $name): Client
    {
        $client = $this->client($this->quayside(), $this->therapist);
        $client->givenName = $name;
        $this->entities->flush();

        return $client;
    }
}
