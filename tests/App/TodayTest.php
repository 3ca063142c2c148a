<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Clinic;
use HandGarden\Account\Role;
use HandGarden\Account\Staff;
use HandGarden\Client\Client;
use HandGarden\Planning\Suspension;
use HandGarden\Sitting\Sitting;
use Symfony\Component\Uid\Uuid;

/** What the list of the day says about each client, and in which order. */
final class TodayTest extends GardenTestCase
{
    private Clinic $clinic;

    private Staff $therapist;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clinic = $this->clinic();
        $this->therapist = $this->staff($this->clinic);
        $this->signIn($this->therapist);
    }

    public function testAnEmptyClinicSaysHowToBegin(): void
    {
        self::assertSame([], $this->names());
        self::assertStringContainsString('No clients yet. ‘New client’ begins with', $this->page());
    }

    public function testWhoIsSuspendedComesFirstAndWhoIsDueBeforeWhoIsNot(): void
    {
        $done = $this->client($this->clinic, $this->therapist, family: 'Aalto');
        $this->client($this->clinic, $this->therapist, family: 'Brandt');
        $resting = $this->client($this->clinic, $this->therapist, family: 'Zeller');
        $this->log($done);
        $this->keep(
            new Suspension(
                $this->clinic->id,
                $resting->id,
                'open-attempt',
                'new tingling or numbness',
                at: new \DateTimeImmutable(),
            ),
        );

        self::assertSame(['Odalys Zeller', 'Odalys Brandt', 'Odalys Aalto'], $this->names());
    }

    public function testSaysWhenTheLastSittingWasAndHowManyDaysOfTheWeek(): void
    {
        $client = $this->client($this->clinic, $this->therapist);
        self::assertStringContainsString(
            'No sitting yet · 0 of 5 planned days in the last 7 · due',
            $this->row(),
        );
        $sitting = $this->log($client);
        $this->log($client, $sitting);

        self::assertStringContainsString(
            'Last sitting '.(
                new \DateTimeImmutable('now', new \DateTimeZone('UTC'))
            )->format('D j M').' · 1 of 5 planned days in the last 7',
            $this->row(),
            'two lines on one day are one day',
        );
        self::assertStringNotContainsString('due', $this->row());
    }

    public function testTheSevenDaysEndTodayAndTheEighthIsOut(): void
    {
        $client = $this->client($this->clinic, $this->therapist);
        $this->log($client);
        $shift = function (int $days) use ($client): void {
            $this->entities->getConnection()->executeStatement(
                'UPDATE sitting_item SET day = (now() AT TIME ZONE \'UTC\')::date - '.$days,
            );
            $this->changed($client);
        };
        $shift(6);
        self::assertStringContainsString('1 of 5 planned days', $this->row());
        $shift(7);
        self::assertStringContainsString('0 of 5 planned days', $this->row());
    }

    public function testASkippedItemIsNoSitting(): void
    {
        $this->log($this->client($this->clinic, $this->therapist), outcome: 'skipped');

        self::assertStringContainsString('No sitting yet', $this->row());
    }

    public function testAsksForMeasuresWhenThereAreNoneOrOldOnes(): void
    {
        $client = $this->client($this->clinic, $this->therapist, false);
        self::assertStringContainsString('Not measured yet', $this->row());
        $client->archivedAt = new \DateTimeImmutable();
        $measured = $this->client($this->clinic, $this->therapist);
        self::assertStringNotContainsString('measure', mb_strtolower($this->row()));
        $this->entities->getConnection()->executeStatement(
            'UPDATE reading SET on_day = on_day - 29 WHERE client_id = ?',
            [$measured->id],
        );
        $this->changed($measured);

        self::assertStringContainsString('Measures are 29 days old: measure again', $this->row());
    }

    public function testAnAssistantFindsTheSittingAndNoDoorThatIsClosedToThem(): void
    {
        $this->client($this->clinic, $this->therapist);
        $this->signIn($this->staff($this->clinic, Role::Assistant));
        $crawler = $this->browser->request('GET', '/');

        self::assertCount(1, $crawler->selectLink('Sitting'));
        self::assertCount(0, $crawler->selectLink('New client'));
    }

    public function testAnotherClinicsClientsAreNotInTheList(): void
    {
        $other = $this->clinic('Another clinic');
        $this->client($other, $this->staff($other), family: 'Stranger');
        $this->client($this->clinic, $this->therapist);

        self::assertSame(['Odalys Brandt'], $this->names());
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_values(
            array_map(
                static fn (\DOMNode $h): string => trim($h->textContent),
                iterator_to_array($this->browser->request('GET', '/')->filter('ul.rows h3')),
            ),
        );
    }

    private function row(): string
    {
        return $this->browser->request('GET', '/')->filter('ul.rows li')->text();
    }

    private function log(Client $client, ?Sitting $sitting = null, string $outcome = 'done'): Sitting
    {
        if (null === $sitting) {
            $this->post('/clients/'.$client->id.'/routine/suggest', []);
            $sitting = $this->sitting($client, $this->therapist);
        }
        self::assertSame(
            200,
            $this->postJson(
                '/sittings/'.$sitting->id.'/log',
                ['id' => Uuid::v4()->toRfc4122(), 'item' => 1, 'outcome' => $outcome],
            ),
        );

        return $sitting;
    }
}
