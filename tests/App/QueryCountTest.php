<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Staff;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Visit;
use HandGarden\Caseload\Renewal;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Measure\Mode;
use HandGarden\Core\Measure\Reading;
use PHPUnit\Framework\Attributes\DataProvider;

/** Pages ask the database the same number of questions, however much there is. */
final class QueryCountTest extends GardenTestCase
{
    /** @return iterable<string, array{string, int}> page and most queries */
    public static function pages(): iterable
    {
        yield 'client' => ['', 23];
        yield 'measure' => ['/measure', 12];
        yield 'measure, everything' => ['/measure?set=everything', 10];
        yield 'findings' => ['/findings', 8];
        yield 'screen' => ['/screen', 9];
        yield 'placement' => ['/placement', 15];
        yield 'routine' => ['/routine', 24];
        yield 'decisions' => ['/decisions', 17];
        yield 'four minutes' => ['/look', 38];
        yield 'logbook' => ['/logbook', 12];
        yield 'trends' => ['/trends', 19];
        yield 'review' => ['/block/review', 8];
    }

    #[DataProvider('pages')]
    public function testAClientPageAsksTheSameWithTwoHundredEarlierAssessments(
        string $page,
        int $most,
    ): void {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->measured($client, $therapist, 1); // with one day there is nothing to compare
        $before = $this->queries('/clients/'.$client->id.$page);
        for ($i = 2; $i <= 200; ++$i) {
            $this->measured($client, $therapist, $i);
        }

        self::assertSame(
            $before,
            $this->queries('/clients/'.$client->id.$page),
        );
        self::assertLessThanOrEqual($most, $before);
    }

    private function measured(Client $client, Staff $therapist, int $daysAgo): void
    {
        $day = new \DateTimeImmutable("-$daysAgo days");
        $visit = new Visit(
            $client->clinicId,
            $client->id,
            $day,
            $therapist->id,
            at: $day,
        );
        $this->entities->persist($visit);
        $this->entities->persist(
            RecordedReading::from(
                new Reading(
                    'wrist_extension',
                    Side::Right,
                    Mode::Active,
                    null,
                    value: (float) -$daysAgo,
                    on: $day,
                ),
                $visit,
                $therapist->id,
                $day,
            ),
        );
        $this->entities->flush();
    }

    public function testTodayAsksTheSameForTwelveClientsAsForOne(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $before = $this->queries('/');
        for ($i = 0; $i < 11; ++$i) {
            $this->client(
                $clinic,
                $therapist,
                0 === $i % 3,
                'Brandt '.$i,
            );
        }
        $this->service(Renewal::class)->renew(100);

        self::assertSame($before, $this->queries('/'));
        self::assertLessThanOrEqual(12, $before);
    }

    private function queries(string $path): int
    {
        $this->browser->request('GET', $path); // first, so that nothing of the first request counts
        $this->entities->clear();
        $log = $this->service(QueryLog::class);
        $log->count = 0;
        $this->browser->request('GET', $path);
        $this->assertStatus(200);

        return $log->count;
    }
}
