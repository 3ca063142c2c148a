<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Routine\Item;
use HandGarden\Planning\Briefs;
use HandGarden\Planning\FocusChoice;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\RoutineKind;
use HandGarden\Planning\StartingPoint;

/** A routine begins from a starting point, or as that of another client; the one door stands before it. */
final class StartingPointTest extends OdalysTestCase
{
    private Client $other;

    protected function setUp(): void
    {
        parent::setUp();
        $this->other = $this->client($this->quayside(), $this->therapist, family: 'Quill');
        $this->post($this->path('/routine/suggest'), []);
        $key = $this->keysOf($this->odalys)[0];
        $this->edit(['do' => 'keep', 'key' => $key]);
        $this->post(
            $this->path('/focus'),
            ['ladder' => 'base-1|right', 'note' => 'It is what she wants'],
            $this->path('/routine'),
        );
    }

    public function testAShapeIsKeptWithoutAnythingOfTheClientAndBeginsARoutineOfAnother(): void
    {
        $this->keepShape('The hand of Brandt');
        self::assertStringContainsString('not by the client', $this->shown());
        $this->keepShape('Tight hand, first weeks');
        $point = $this->entities->getRepository(StartingPoint::class)->findAll()[0];

        $this->start($this->other, 'point:'.$point->id);
        self::assertStringContainsString('Begun as in &quot;Tight hand, first weeks&quot;', $this->shown());
        self::assertContains($this->keysOf($this->odalys)[0], $this->keysOf($this->other));
        $focus = $this->entities->getRepository(FocusChoice::class)->findOneBy(
            ['clientId' => $this->other->id],
        );
        self::assertSame('base-1|right', $focus?->key());
        $kept = array_filter(
            $this->itemsOfRoutine($this->other),
            static fn (Item $i): bool => null !== $i->kept,
        );
        self::assertSame('As in: Tight hand, first weeks', array_values($kept)[0]->kept?->note);
    }

    public function testTheOtherHandGetsIt(): void
    {
        $this->fresh($this->other)->setSides([Side::Left], [Side::Right]);
        $this->entities->flush();
        $this->changed($this->other);
        $this->start($this->other, 'client:'.$this->odalys->id);

        foreach ($this->entities->getRepository(FocusChoice::class)->findBy(
            ['clientId' => $this->other->id],
        ) as $one) {
            self::assertSame(Side::Left, $one->side);
        }
        self::assertStringNotContainsString('Brandt', $this->notesOf($this->other));
    }

    public function testWhatTheClientMayNotDoStaysOutAndIsNamedHoweverItWasKeptInElsewhere(): void
    {
        foreach ($this->keysOf($this->odalys) as $key) {
            $this->edit(['do' => 'keep', 'key' => $key]);
        }
        $this->entities->getConnection()->executeStatement(
            "UPDATE screening_answer SET answer = 'yes' WHERE client_id = ? AND question_id = 'sensation_lost'",
            [$this->other->id],
        );
        $this->changed($this->other);
        $this->start($this->other, 'client:'.$this->odalys->id);
        self::assertStringContainsString('Left out: ', $this->shown());

        $door = $this->service(Briefs::class)->door($this->fresh($this->other), RoutineKind::Home);
        foreach ($this->itemsOfRoutine($this->other) as $item) {
            self::assertSame([], $item->isPause ? [] : $door->refusals($item->rung, $item->hands));
        }
    }

    public function testAnotherClinicFindsNeitherPointNorClient(): void
    {
        $this->keepShape('Tight hand');
        $point = $this->entities->getRepository(StartingPoint::class)->findAll()[0];
        $elsewhere = $this->clinic('Elsewhere');
        $therapist = $this->staff($elsewhere);
        $theirs = $this->client($elsewhere, $therapist);
        $this->signIn($therapist);
        foreach (['point:'.$point->id, 'client:'.$this->odalys->id, 'nothing'] as $from) {
            $this->start($theirs, $from);
            self::assertStringContainsString('Choose what it begins from', $this->shown());
        }
    }

    public function testALeadReadsThemAndTakesOneOut(): void
    {
        $this->keepShape('Tight hand');
        $point = $this->entities->getRepository(StartingPoint::class)->findAll()[0];
        $this->signIn($this->staff($this->quayside(), Role::Lead));
        $this->browser->request('GET', '/clinic/starting-points');
        self::assertStringContainsString('affected hand', $this->shown());
        $this->post('/clinic/starting-points/'.$point->id.'/end', [], '/clinic/starting-points');
        $this->browser->followRedirect();

        self::assertStringContainsString('None yet', $this->shown());
    }

    private function path(string $page): string
    {
        return '/clients/'.$this->odalys->id.$page;
    }

    private function keepShape(string $name): void
    {
        $this->post(
            $this->path('/routine/keep-shape'),
            ['name' => $name, 'condition' => 'stroke'],
            $this->path('/routine'),
        );
        $this->browser->followRedirect();
    }

    private function start(Client $client, string $from): void
    {
        $page = '/clients/'.$client->id.'/routine';
        $this->post($page.'/start-from', ['from' => $from], $page);
        $this->browser->followRedirect();
    }

    /** @param array<string, string> $change */
    private function edit(array $change): void
    {
        $routine = $this->service(PlanRepository::class)->routine($this->odalys);
        $this->post(
            $this->path('/routine'),
            ['version' => (string) $routine?->version] + $change,
            $this->path('/routine'),
        );
    }

    /** @return list<Item> */
    private function itemsOfRoutine(Client $client): array
    {
        $this->entities->clear();
        $plan = $this->service(Plan::class);
        $plan->reset();

        return $plan->items($this->fresh($client));
    }

    /** @return list<string> */
    private function keysOf(Client $client): array
    {
        return array_map(static fn (Item $i): string => $i->key(), $this->itemsOfRoutine($client));
    }

    private function notesOf(Client $client): string
    {
        return implode(' ', array_map(
            static fn (Item $i): string => $i->kept->note ?? '',
            $this->itemsOfRoutine($client),
        ));
    }
}
