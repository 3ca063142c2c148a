<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Staff;
use HandGarden\Caseload\Caseload;
use HandGarden\Caseload\Group;
use HandGarden\Caseload\Renewal;
use HandGarden\Caseload\Summaries;
use HandGarden\Caseload\SummaryFormat;
use HandGarden\Client\Client;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\ItemMemories;
use HandGarden\Web\Clock;
use PHPUnit\Framework\Attributes\DataProvider;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Symfony\Bundle\FrameworkBundle\Console\Application;
use Symfony\Component\Clock\Clock as GlobalClock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\Uid\Uuid;

/** What is kept of a client is what would be worked out anew, whatever happened and whenever. */
final class CaseloadTest extends GardenTestCase
{
    private Clinic $clinic;

    private Staff $therapist;

    protected function setUp(): void
    {
        GlobalClock::set(new MockClock('2026-03-20 10:00:00 UTC'));
        parent::setUp();
        $this->clinic = $this->clinic();
        $this->therapist = $this->staff($this->clinic);
        $this->signIn($this->therapist);
    }

    protected function tearDown(): void
    {
        GlobalClock::set(new NativeClock());
        parent::tearDown();
    }

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 4; ++$seed) {
            yield 'seed '.$seed => [$seed];
        }
    }

    #[DataProvider('seeds')]
    public function testAfterAnyOrderOfChangesTheKeptRowIsTheOneWorkedOutAnew(int $seed): void
    {
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        $client = $this->client($this->clinic, $this->therapist);
        $this->post('/clients/'.$client->id.'/routine/suggest', []);
        $changes = [
            function () use ($client): void {
                $this->log(
                    $client,
                    ['outcome' => 'done', 'pain_after' => 1],
                );
            },
            function () use ($client): void {
                $this->log(
                    $client,
                    ['outcome' => 'part', 'pain_after' => 8],
                );
            },
            function () use ($client): void { $this->log($client, ['outcome' => 'skipped']); },
            function (): void { $this->later('+26 hours'); },
            function () use ($client): void { $this->post('/clients/'.$client->id.'/archive', []); },
            function () use ($client): void { $this->zone($client, 'Asia/Beirut'); },
            function () use ($client): void { $this->zone($client, 'Pacific/Apia'); },
            function () use ($client): void { $this->forgetAnAnswer($client); },
            function (): void { $this->service(Renewal::class)->renew(1); },
        ];
        for ($i = 0; $i < 10; ++$i) {
            $changes[$random->getInt(0, \count($changes) - 1)]();
            if ($this->fresh($client)->isArchived()) {
                $this->post('/clients/'.$client->id.'/archive', []);
            }
            $this->browser->request('GET', '/');

            $this->assertKeptIsTrue($client, 'seed '.$seed.', change '.$i);
        }
    }

    /** @return iterable<string, array{string, string, string}> zone, now, the instant at which the day is over */
    public static function midnights(): iterable
    {
        yield 'UTC' => ['UTC', '2026-03-20 10:00', '2026-03-21T00:00:00+00:00'];
        yield 'clocks forward' => ['Europe/Berlin', '2026-03-28 22:30', '2026-03-28T23:00:00+00:00'];
        yield 'on the day of 23 hours' => ['Europe/Berlin', '2026-03-29 10:00', '2026-03-29T22:00:00+00:00'];
        yield 'on the day of 25 hours' => ['Europe/Berlin', '2026-10-25 10:00', '2026-10-25T23:00:00+00:00'];
        yield 'a zone without that midnight' => ['Asia/Beirut', '2026-03-28 10:00', '2026-03-28T22:00:00+00:00'];
        yield 'fourteen hours ahead' => ['Pacific/Kiritimati', '2026-03-20 11:00', '2026-03-21T10:00:00+00:00'];
    }

    #[DataProvider('midnights')]
    public function testARowHoldsUntilTheClientsNextMidnight(string $zone, string $now, string $until): void
    {
        GlobalClock::set(new MockClock($now.' UTC'));
        $this->signIn($this->therapist);
        $client = $this->client($this->clinic, $this->therapist);
        $this->zone($client, $zone);
        $this->browser->request('GET', '/');

        $staleFrom = $this->entities->getConnection()->fetchOne('SELECT stale_from FROM caseload_row');
        self::assertIsString($staleFrom);
        self::assertEquals(new \DateTimeImmutable($until), new \DateTimeImmutable($staleFrom));
        GlobalClock::set(new MockClock((new \DateTimeImmutable($until))->modify('-1 second')));
        self::assertSame(0, $this->service(Caseload::class)->staleRows());
        $this->later('+1 second');
        self::assertSame(1, $this->service(Caseload::class)->staleRows());
        self::assertSame('1 rows are new.', $this->day());
        $this->assertKeptIsTrue($this->fresh($client), $zone);
    }

    public function testAMissedNightIsCaughtUpInOneRun(): void
    {
        for ($i = 0; $i < 7; ++$i) {
            $this->client($this->clinic, $this->therapist, false, 'Client '.$i);
        }
        self::assertSame('7 rows are new.', $this->day());
        $this->later('+49 hours');

        self::assertSame('7 rows are new.', $this->day());
        self::assertSame('0 rows are new.', $this->day());
    }

    public function testOneClientThatFailsStopsNobodyElse(): void
    {
        $broken = $this->client($this->clinic, $this->therapist, family: 'Aalto');
        $this->client($this->clinic, $this->therapist, family: 'Brandt');
        $this->entities->getConnection()->executeStatement(
            "UPDATE client SET zone = 'No/Where' WHERE id = ?",
            [$broken->id],
        );
        $this->changed($broken);
        $this->entities->clear();

        self::assertSame('1 rows are new.', $this->day());
        $this->browser->request('GET', '/');
        self::assertStringContainsString('Could not be worked out; tried again soon', $this->shown());
        self::assertSelectorTextContains('main', 'Odalys Brandt');
    }

    public function testTheRowsCanBeMadeFromScratch(): void
    {
        $client = $this->client($this->clinic, $this->therapist);
        $this->entities->getConnection()->executeStatement('DELETE FROM caseload_row');
        $rebuild = new CommandTester((new Application(self::$kernel))->find('garden:caseload:rebuild'));
        $rebuild->execute([]);

        self::assertStringContainsString('1 rows are new.', $rebuild->getDisplay());
        $this->assertKeptIsTrue($this->fresh($client), 'from scratch');
    }

    public function testAPageWorksOutFiveRowsAndSaysThatTheOthersAreBeingRenewed(): void
    {
        for ($i = 0; $i < 8; ++$i) {
            $this->client($this->clinic, $this->therapist, false, 'Client '.$i);
        }
        $this->browser->request('GET', '/');

        self::assertSame(3, substr_count($this->page(), 'Being renewed'));
    }

    public function testTheListIsFoundByNameAndPaged(): void
    {
        for ($i = 0; $i < 35; ++$i) {
            $this->client($this->clinic, $this->therapist, false, \sprintf('Client %02d', $i));
        }
        $this->day();
        $first = $this->browser->request('GET', '/');
        self::assertCount(30, $first->filter('ul.rows > li'));
        self::assertSelectorTextContains('nav[aria-label="Pages"]', 'Page 1 of 2, 35 clients');
        self::assertCount(5, $this->browser->request('GET', '/?page=2')->filter('ul.rows > li'));
        $found = $this->browser->request('GET', '/?name=ent+07');
        self::assertSame('Odalys Client 07', $found->filter('ul.rows h3')->text());
        $this->browser->request('GET', '/?name=%25');
        self::assertSelectorTextContains('main', 'Nobody here is called ‘%’');
    }

    public function testOwnClientsComeFirstInTheirGroup(): void
    {
        $colleague = $this->staff($this->clinic);
        $this->client($this->clinic, $colleague, false, 'Aalto');
        $this->client($this->clinic, $this->therapist, false, 'Zeller');
        $held = $this->client($this->clinic, $colleague, false, 'Moreau');
        $this->keep(
            new Suspension($this->clinic->id, $held->id, '*', 'dizzy', at: new \DateTimeImmutable()),
        );
        $this->day();
        $names = $this->browser->request('GET', '/')->filter('ul.rows h3')->each(
            static fn (Crawler $h): string => $h->text(),
        );

        self::assertSame(['Odalys Moreau', 'Odalys Zeller', 'Odalys Aalto'], $names);
        self::assertSelectorExists('[data-group="held"]');
        self::assertSelectorNotExists('[data-group="steps"]', 'empty groups are not shown');
    }

    private function assertKeptIsTrue(Client $client, string $when): void
    {
        $this->entities->clear();
        $kept = $this->entities->getConnection()->fetchAssociative(
            'SELECT grouped, summary FROM caseload_row WHERE client_id = ?',
            [$client->id],
        );
        $anew = $this->service(Summaries::class)->for($this->fresh($client));

        self::assertIsArray($kept, $when);
        self::assertSame(SummaryFormat::write($anew), $kept['summary'], $when);
        self::assertSame(
            $anew->group(),
            Group::from(\is_string($kept['grouped']) ? $kept['grouped'] : ''),
            $when,
        );
        $remembered = $this->remembered();
        $this->service(ItemMemories::class)->rebuild();
        self::assertSame($remembered, $this->remembered(), $when);
    }

    /** @return list<array<string, mixed>> */
    private function remembered(): array
    {
        return $this->entities->getConnection()->fetchAllAssociative(
            'SELECT * FROM item_memory ORDER BY client_id, item_key',
        );
    }

    private function day(): string
    {
        $this->entities->clear();
        $command = new CommandTester((new Application(self::$kernel))->find('garden:day'));
        $command->execute([]);

        return trim($command->getDisplay());
    }

    /** @param array<string, mixed> $told */
    private function log(Client $client, array $told): void
    {
        $sitting = $this->sitting($this->fresh($client), $this->therapist, $this->now());
        $items = $this->itemsOf($sitting);
        if ([] !== $items) {
            $line = ['id' => Uuid::v4()->toRfc4122(), 'item' => $items[0]->id] + $told;
            self::assertSame(200, $this->postJson('/sittings/'.$sitting->id.'/log', $line), $this->page());
        }
    }

    private function zone(Client $client, string $zone): void
    {
        $this->fresh($client)->zone = $zone;
        $this->entities->flush();
    }

    private function forgetAnAnswer(Client $client): void
    {
        $this->entities->getConnection()->executeStatement(
            'DELETE FROM screening_answer WHERE id = (SELECT min(id::text)::uuid FROM screening_answer)',
        );
        $this->changed($client);
    }

    /** On another day somebody signs in anew. */
    private function later(string $by): void
    {
        GlobalClock::set(new MockClock(GlobalClock::get()->now()->modify($by)));
        $this->signIn($this->therapist);
    }

    private function now(): \DateTimeImmutable
    {
        return $this->service(Clock::class)->now();
    }
}
