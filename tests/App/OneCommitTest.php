<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Sitting;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Uid\Uuid;

/** What follows from a request is kept with it or not at all; sent again, nothing is missing and nothing is doubled. */
final class OneCommitTest extends OdalysTestCase
{
    private Sitting $begun;

    protected function setUp(): void
    {
        parent::setUp();
        $this->post('/clients/'.$this->odalys->id.'/routine/suggest', []);
        $this->begun = $this->sitting($this->odalys, $this->therapist);
    }

    #[TestWith(['INSERT INTO sitting_event'])]
    #[TestWith(['UPDATE sitting_item'])]
    #[TestWith(['INSERT INTO item_memory'])]
    #[TestWith(['INSERT INTO suspension'])]
    #[TestWith(['INSERT INTO audit_line'])]
    public function testALineIsKeptWithAllThatFollowsFromIt(string $stopsBefore): void
    {
        $line = $this->tingling();
        self::assertSame(500, $this->sendStopping($line, $stopsBefore));
        self::assertSame(
            [0, 0, 0],
            $this->kept($line['id']),
            'half of it is worse than nothing',
        );

        self::assertSame(200, $this->send($line));
        self::assertSame([1, 1, 1], $this->kept($line['id']));
    }

    public function testALineOfBeforeThatLostWhatFollowsGetsItWhenItComesAgain(): void
    {
        $line = $this->tingling();
        $this->send($line);
        $this->entities->getConnection()->executeStatement('DELETE FROM suspension');

        self::assertSame(200, $this->send($line));
        self::assertSame([1, 1, 1], $this->kept($line['id']), 'the audit tells of it once');
    }

    public function testALineThatComesAgainDoesNotUndoWhatATherapistReopened(): void
    {
        $line = $this->tingling();
        $this->send($line);
        $suspension = $this->entities->getRepository(Suspension::class)->findAll()[0];
        $this->post(
            '/clients/'.$this->odalys->id.'/suspensions/'.$suspension->id,
            ['note' => 'Looked at it: the strap was too tight.'],
        );
        self::assertNotNull($this->fresh($suspension)->reopenedAt, 'reopened');

        self::assertSame(200, $this->send($line));
        self::assertSame([1, 1, 1], $this->kept($line['id']), 'no second one');
    }

    public function testAStartWithLatePainIsOneCommit(): void
    {
        $this->send(['outcome' => 'done'] + $this->tingling());
        $start = '/clients/'.$this->odalys->id.'/sittings/new';
        $form = ['_token' => $this->token(), 'pain_before' => '1', 'hurt_later' => 'yes', 'help' => 'none'];
        $this->log()->stopsBefore = 'INSERT INTO audit_line';
        $this->browser->request('POST', $start, $form);
        $this->assertStatus(500);
        self::assertSame(
            0,
            $this->number("SELECT count(*) FROM sitting_event WHERE kind LIKE 'hurt%'"),
        );
        self::assertSame(
            1,
            $this->number('SELECT count(*) FROM sitting'),
            'only the one from before',
        );
    }

    public function testAFormIsSentAgainAfterTheServerStoppedInTheMiddle(): void
    {
        $page = $this->browser->request('GET', '/clients/'.$this->odalys->id.'/routine');
        $form = [
            '_token' => (string) $page->filter('main input[name="_token"]')->first()->attr('value'),
            '_request' => (string) $page->filter('main input[name="_request"]')->first()->attr('value'),
            'kind' => 'clinic',
        ];
        $this->log()->stopsBefore = 'INSERT INTO audit_line';
        $this->browser->request(
            'POST',
            '/clients/'.$this->odalys->id.'/routine/suggest',
            $form,
        );
        $this->assertStatus(500);
        $this->browser->request(
            'POST',
            '/clients/'.$this->odalys->id.'/routine/suggest',
            $form,
        );
        $this->assertStatus(303);
        $this->browser->followRedirect();
        self::assertStringNotContainsString(
            'sent twice',
            $this->page(),
            'it was not done, so it is done now',
        );
    }

    /** @return array<string, mixed>&array{id: string} */
    private function tingling(): array
    {
        return [
            'id' => Uuid::v4()->toRfc4122(),
            'item' => $this->itemsOf($this->begun)[2]->id,
            'outcome' => 'part',
            'new_tingling' => true,
        ];
    }

    /** @param array<string, mixed> $line */
    private function send(array $line): int
    {
        return $this->postJson('/sittings/'.$this->begun->id.'/log', $line);
    }

    /** @param array<string, mixed> $line */
    private function sendStopping(array $line, string $before): int
    {
        $token = $this->token();
        $this->log()->stopsBefore = $before;
        $this->browser->request(
            'POST',
            '/sittings/'.$this->begun->id.'/log',
            [],
            [],
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_X_GARDEN_TOKEN' => $token],
            content: json_encode($line, \JSON_THROW_ON_ERROR),
        );

        return $this->browser->getResponse()->getStatusCode();
    }

    private function log(): QueryLog
    {
        return $this->service(QueryLog::class);
    }

    /** @return list<int> events of this name, suspensions, audit lines that tell of it */
    private function kept(string $id): array
    {
        return [
            $this->number('SELECT count(*) FROM sitting_event WHERE id = ?', $id),
            $this->number('SELECT count(*) FROM suspension'),
            $this->number(
                "SELECT count(*) FROM audit_line WHERE action = 'logged' AND subject_id = ?",
                $id,
            ),
        ];
    }

    private function number(string $sql, string ...$values): int
    {
        $found = $this->entities->getConnection()->fetchOne($sql, array_values($values));

        return is_numeric($found) ? (int) $found : -1;
    }
}
