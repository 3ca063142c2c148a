<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\AuditLine;
use HandGarden\Account\Role;
use HandGarden\Core\Actor\ActorKind;
use PHPUnit\Framework\Attributes\DataProvider;

/** Who read or changed what of a client, and when. */
final class AuditTest extends OdalysTestCase
{
    /** @return iterable<string, array{string}> */
    public static function pages(): iterable
    {
        foreach (['', '/placement', '/measure', '/findings', '/routine', '/week', '/decisions', '/goals'] as $page) {
            yield '' === $page ? 'overview' : ltrim($page, '/') => [$page];
        }
    }

    #[DataProvider('pages')]
    public function testReadingAPageOfAClientLeavesOneLineOfTheReader(string $page): void
    {
        $this->browser->request('GET', '/clients/'.$this->odalys->id.$page);
        $this->assertStatus(200);

        $lines = $this->lines();
        self::assertCount(1, $lines);
        self::assertStringStartsWith('read ', $lines[0]->action);
        self::assertSame($this->odalys->id, $lines[0]->clientId);
        self::assertSame($this->odalys->clinicId, $lines[0]->clinicId);
        self::assertSame(ActorKind::Staff, $lines[0]->actorKind);
        self::assertSame($this->therapist->id, $lines[0]->actorId);
        self::assertLessThan(60, abs($lines[0]->at->getTimestamp() - time()));
    }

    public function testTheListOfTheDayIsOneLineForAllClients(): void
    {
        $this->browser->request('GET', '/');
        $this->browser->request('GET', '/');

        self::assertSame(['read desk_today'], $this->actions());
    }

    public function testAChangeIsWrittenWithWhatItChanged(): void
    {
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->post(
            '/clients/'.$this->odalys->id.'/approaches',
            ['question' => 'fist', 'school' => 'a', 'note' => 'The thumb came out'],
        );

        $actions = $this->actions();
        self::assertContains('suggested routine: home', $actions);
        self::assertNotSame(
            [],
            array_filter($actions, static fn (string $a): bool => str_contains($a, 'approach')),
            implode(', ', $actions),
        );
    }

    public function testWhatIsRefusedIsNotWrittenAsDone(): void
    {
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->assertStatus(403);

        self::assertSame(
            ['refused: planning_suggest'],
            array_values(array_filter(
                $this->actions(),
                static fn (string $action): bool => !str_starts_with($action, 'read '),
            )),
        );
    }

    public function testTheSamePageReadAgainWithinMinutesIsOneLine(): void
    {
        $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $this->browser->request('GET', '/clients/'.$this->odalys->id);

        self::assertSame(['read desk_client'], $this->actions());
    }

    public function testAPageThatIsRefusedIsNotRead(): void
    {
        $this->signIn($this->staff($this->quayside(), Role::Assistant));
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/edit');
        $this->assertStatus(403);

        self::assertSame(['refused: client_edit'], $this->actions());
    }

    public function testAnotherClinicReadsNothingAndLeavesNoLineHere(): void
    {
        $this->signIn($this->staff($this->clinic('Elsewhere')));
        $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $this->assertStatus(404);

        self::assertSame(['refused: desk_client'], $this->actions());
        self::assertNotSame($this->odalys->clinicId, $this->lines()[0]->clinicId);
        self::assertNull($this->lines()[0]->clientId);
    }

    public function testTwoPeopleAreTwoActors(): void
    {
        $assistant = $this->staff($this->quayside(), Role::Assistant);
        $this->browser->request('GET', '/clients/'.$this->odalys->id);
        $this->signIn($assistant);
        $this->browser->request('GET', '/clients/'.$this->odalys->id);

        self::assertSame(
            [$this->therapist->id, $assistant->id],
            array_map(static fn (AuditLine $line): string => $line->actorId, $this->lines()),
        );
    }

    /** @return list<string> oldest first */
    private function actions(): array
    {
        return array_map(static fn (AuditLine $line): string => $line->action, $this->lines());
    }

    /** @return list<AuditLine> oldest first */
    private function lines(): array
    {
        $this->entities->clear();

        return $this->entities->getRepository(AuditLine::class)->findBy([], ['at' => 'ASC', 'id' => 'ASC']);
    }
}
