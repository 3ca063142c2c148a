<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Placement\Decided;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Sitting;
use HandGarden\Sitting\SittingItem;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\Uid\Uuid;

/** The hands-on release: who may begin it, with whom, and what of it is kept. */
final class ReleaseTest extends OdalysTestCase
{
    private string $page = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->page = '/clients/'.$this->odalys->id.'/release';
    }

    public function testTheMarkIsSetAndTakenBackByACommandAndEndsTheSession(): void
    {
        $this->browser->request('GET', $this->page);
        $this->assertStatus(403);

        self::assertSame(0, $this->mark(['email' => $this->therapist->email]));
        $this->browser->request('GET', $this->page);
        $this->assertStatus(302);
        $this->signIn($this->fresh($this->therapist));
        $this->browser->request('GET', $this->page);
        $this->assertStatus(200);

        self::assertSame(0, $this->mark(['email' => $this->therapist->email, '--no' => true]));
        $this->browser->request('GET', $this->page);
        $this->assertStatus(302);
        $told = $this->entities->getConnection()->fetchFirstColumn(
            "SELECT action FROM audit_line WHERE actor_kind = 'system' ORDER BY id",
        );
        self::assertCount(2, $told);
    }

    public function testNobodyElseIsMarked(): void
    {
        $assistant = $this->staff($this->quayside(), Role::Assistant);

        self::assertSame(1, $this->mark(['email' => $assistant->email]));
        self::assertSame(1, $this->mark(['email' => 'nobody@quayside.example']));
        self::assertSame(1, $this->mark(['email' => $this->therapist->email, '--since' => 'tomorrow week']));
        self::assertSame(1, $this->mark(['email' => $this->therapist->email, '--since' => 'some day']));
        self::assertNull($this->fresh($this->therapist)->releaseTrainedOn);
    }

    public function testWhatWasNotLookedAtNeedsANoteAndMuchPainAllowsNone(): void
    {
        $this->trained();
        $this->post($this->page, ['pain_before' => '1']);
        $this->assertStatus(422);
        self::assertStringContainsString('Say what you have seen', $this->page());

        $this->post($this->page, ['pain_before' => '8', 'note' => 'Relaxes well.']);
        $this->assertStatus(422);
        self::assertStringContainsString('With this much pain', $this->page());
        self::assertSame(0, $this->sittings());
    }

    public function testWhileEverythingRestsThereIsNone(): void
    {
        $this->trained();
        $this->keep(new Suspension(
            $this->odalys->clinicId,
            $this->odalys->id,
            Decided::EVERYTHING,
            'test',
            at: new \DateTimeImmutable(),
        ));
        $this->post($this->page, ['pain_before' => '1', 'note' => 'Relaxes well.']);

        self::assertStringContainsString('not today', $this->page());
        self::assertSame(0, $this->sittings());
    }

    #[TestWith(['fixed-end'])]
    #[TestWith(['skin'])]
    public function testAHandThatMayNotBeReleasedIsNamedWithItsReason(string $what): void
    {
        $this->trained();
        match ($what) {
            'fixed-end' => $this->saw('hard_end', 'fingers', true),
            default => $this->saw('skin_whole', null, false),
        };
        $this->browser->request('GET', $this->page);

        self::assertStringContainsString('not today', $this->page());
        self::assertStringNotContainsString('name="pain_before"', $this->page());
    }

    public function testItIsPlayedFromItsStepsAndKeptWithWhatWasFelt(): void
    {
        $this->trained();
        $this->post($this->page, ['pain_before' => '1', 'note' => 'Arm lies heavy.']);
        $this->assertStatus(303);
        $sitting = $this->entities->getRepository(Sitting::class)->findOneBy(
            ['clientId' => $this->odalys->id],
        ) ?? self::fail('no sitting');
        self::assertSame(
            200,
            $this->postJson('/sittings/'.$sitting->id.'/open', []),
        );
        /** @var array{secret: string, acts: list<mixed>, score: array{items: list<array{id: string, name: string}>,
         *     release: array{steps: list<array{number: string, turning: list<mixed>}>, moves: list<mixed>}}} $sheet */
        $sheet = json_decode($this->page(), true, 512, \JSON_THROW_ON_ERROR);
        $numbers = array_column($sheet['score']['release']['steps'], 'number');
        self::assertSame('13', end($numbers));
        self::assertSame([], $sheet['acts']);
        $first = $sheet['score']['items'][0]['id'];
        $answer = $this->sent($sheet['secret'], [
            ['tested', null, ['when' => 'before', 'opening' => 30, 'tone' => '2']],
            ['marked', null, ['step' => '1', 'mark' => 'softer']],
            ['marked', null, ['step' => '2', 'mark' => 'tighter']],
            ['marked', null, ['step' => '99x', 'mark' => 'softer']],
            ['marked', null, ['step' => '2', 'mark' => 'lovely']],
            ['tested', null, ['when' => 'now', 'opening' => 30]],
            ['positioned', null, ['why' => 'too-tight']],
            ['line', $first, ['outcome' => 'part', 'tone' => 'tighter']],
        ]);
        self::assertSame([5, 3], [\count($answer['kept']), \count($answer['refused'])]);

        self::assertSame(
            200,
            $this->postJson('/sittings/'.$sitting->id.'/open', []),
        );
        $again = json_decode($this->page(), true, 512, \JSON_THROW_ON_ERROR);
        self::assertIsArray($again);
        self::assertIsArray($again['acts']);
        self::assertSame(
            ['tested', 'marked', 'marked', 'positioned'],
            array_column($again['acts'], 'kind'),
        );
        $this->browser->request('GET', '/sittings/'.$sitting->id.'/record');
        foreach (['before: opened to 30, tone 2', 'step 2, tighter', 'Tighter twice', 'Arm lies heavy.'] as $words) {
            self::assertStringContainsString($words, $this->page());
        }
        $this->entities->clear();
        $item = $this->entities->find(SittingItem::class, $first);
        self::assertSame('tighter', $item?->told['tone'] ?? null);
    }

    /**
     * @param list<array{string, ?string, array<string, mixed>}> $events
     *
     * @return array{kept: list<string>, refused: list<mixed>}
     */
    private function sent(string $secret, array $events): array
    {
        $batch = [];
        foreach ($events as $seq => [$kind, $item, $body]) {
            $batch[] = ['id' => Uuid::v4()->toRfc4122(), 'seq' => $seq, 'kind' => $kind, 'body' => $body]
                + (null === $item ? [] : ['item' => $item]);
        }
        $this->browser->request(
            'POST',
            '/played/events',
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_AUTHORIZATION' => 'Bearer '.$secret],
            content: json_encode(
                ['device' => Uuid::v4()->toRfc4122(), 'events' => $batch],
                \JSON_THROW_ON_ERROR,
            ),
        );
        $this->assertStatus(200);
        /** @var array{kept: list<string>, refused: list<mixed>} $answer */
        $answer = json_decode($this->page(), true, 512, \JSON_THROW_ON_ERROR);

        return $answer;
    }

    private function saw(string $code, ?string $part, bool $is): void
    {
        $now = new \DateTimeImmutable();
        $visit = $this->keep(new Visit(
            $this->odalys->clinicId,
            $this->odalys->id,
            $now,
            $this->therapist->id,
            at: $now,
        ));
        $this->keep(RecordedReading::from(
            new Reading($code, Side::Right, null, $part, value: $is, on: $now),
            $visit,
            $this->therapist->id,
            $now,
        ));
    }

    private function sittings(): int
    {
        return \count($this->entities->getRepository(Sitting::class)->findAll());
    }

    private function trained(): void
    {
        $this->therapist->releaseTrainedOn = new \DateTimeImmutable('-1 year');
        $this->entities->flush();
        $this->signIn($this->therapist);
    }

    /** @param array<string, mixed> $input */
    private function mark(array $input): int
    {
        self::assertNotNull(self::$kernel);
        $tester = new CommandTester((new Application(self::$kernel))->find('garden:trained'));

        return $tester->execute($input);
    }
}
