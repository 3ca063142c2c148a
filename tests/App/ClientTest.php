<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\AuditLine;
use HandGarden\Client\Client;
use PHPUnit\Framework\Attributes\DataProvider;

final class ClientTest extends GardenTestCase
{
    private const GOOD = [
        'givenName' => 'Imke',
        'familyName' => 'Solvang',
        'birthYear' => '1992',
        'zone' => 'Europe/Tallinn',
        'conditions' => ['brain-injury'],
        'affected' => 'right',
        'writingHand' => 'right',
        'minutes' => '15',
        'daysPerWeek' => '5',
        'stamina' => 'usual',
        'goals' => ['buttons' => '3'],
    ];

    public function testAddsAClientAndGoesOnToScreening(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->post('/clients/new', self::GOOD);
        $client = $this->entities->getRepository(Client::class)->findOneBy(
            ['familyName' => 'Solvang'],
        );

        self::assertNotNull($client);
        self::assertResponseRedirects('/clients/'.$client->id.'/screening');
        self::assertNotNull(
            $this->entities->getRepository(AuditLine::class)->findOneBy(
                ['clientId' => $client->id, 'action' => 'added client'],
            ),
        );
    }

    public function testWhatIsWrongIsSaidInPlaceAndWhatWasTypedIsKept(): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->post(
            '/clients/new',
            [
                'conditions' => [],
                'minutes' => '300',
                'familyName' => '',
                'birthYear' => '58',
            ] + self::GOOD,
        );

        $this->assertStatus(422);
        foreach (
            [
                'A family name is needed',
                'Between 5 and 90 minutes',
                'Tick at least one condition',
                'is not a year',
            ] as $said
        ) {
            self::assertStringContainsString($said, $this->page());
        }
        self::assertInputValueSame('givenName', 'Imke');
        self::assertSelectorExists('input[name="minutes"][aria-invalid="true"][value="300"]');
    }

    public function testTheSecondWriterSeesBothAndLosesNothing(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $old = (string) $client->version;
        $this->fresh($client)->minutes = 30;
        $this->entities->flush();
        $this->post(
            '/clients/'.$client->id.'/edit',
            ['version' => $old, 'minutes' => '25'] + self::GOOD,
        );

        $this->assertStatus(422);
        self::assertStringContainsString('Somebody else changed this client', $this->page());
        self::assertStringContainsString('saved now is “30”', $this->page());
        self::assertInputValueSame('minutes', '25');
        $this->browser->submitForm('Save');
        self::assertSame(25, $this->fresh($client)->minutes);
    }

    public function testArchivingHidesAndBringsBack(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->post('/clients/'.$client->id.'/archive', []);
        $this->browser->request('GET', '/');
        self::assertSelectorNotExists('h3 a[href="/clients/'.$client->id.'"]');
        $this->browser->request('GET', '/?archived=1');
        self::assertSelectorExists('h3 a[href="/clients/'.$client->id.'"]');
        $this->post('/clients/'.$client->id.'/archive', []);
        $this->browser->request('GET', '/');
        self::assertSelectorExists('h3 a[href="/clients/'.$client->id.'"]');
    }

    public function testUnansweredScreeningStandsInTheBannerOnEveryPage(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist, false);
        $this->signIn($therapist);
        foreach (
            [
                '',
                '/screening',
                '/measure',
                '/placement',
                '/routine',
                '/sittings/new',
                '/decisions',
            ] as $page
        ) {
            $this->browser->request('GET', '/clients/'.$client->id.$page);
            self::assertSelectorTextContains(
                'section[aria-label="Cautions"]',
                'screening questions not asked',
            );
        }
    }

    public function testAYesInScreeningBlocksAndShowsTheEmergencyNumber(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->post(
            '/clients/'.$client->id.'/screening',
            ['new_stroke_signs' => 'yes'],
            '/clients/'.$client->id.'/screening',
        );
        $this->browser->followRedirect();

        self::assertSelectorTextContains(
            'section[aria-label="Cautions"]',
            'call the emergency number',
        );
        self::assertSelectorExists('section[aria-label="Cautions"] a[href="tel:112"]');
        $this->browser->request('GET', '/clients/'.$client->id.'/sittings/new');
        self::assertStringContainsString('Stop everything', $this->page());
        self::assertSelectorNotExists('button.huge');
    }

    public function testANoteOfTheVisitIsKept(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->post('/clients/'.$client->id.'/note', ['note' => 'Sister was there <b>today</b>.']);
        $this->browser->followRedirect();

        self::assertStringContainsString('Sister was there &lt;b&gt;today', $this->page());
    }

    public function testAnAnswerThatStandsKeepsItsDateUntilItIsAskedAgain(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist, false);
        $before = new \DateTimeImmutable('-80 days');
        $this->keep(
            new \HandGarden\Client\ScreeningAnswer(
                $clinic->id,
                $client->id,
                'falls',
                \HandGarden\Core\Screening\Answer::No,
                askedOn: $before,
                byStaffId: $therapist->id,
                at: $before,
            ),
        );
        $this->signIn($therapist);
        $asked = fn (): string => $this->service(
            \HandGarden\Client\ClientRepository::class,
        )->screening($client)['falls'][1]->format('Y-m-d');
        $this->post('/clients/'.$client->id.'/screening', ['falls' => 'no', 'neglect' => 'no']);
        self::assertSame($before->format('Y-m-d'), $asked());
        $this->post('/clients/'.$client->id.'/screening', ['falls' => 'no', 'asked_again' => '1']);
        self::assertGreaterThan($before->format('Y-m-d'), $asked());
    }

    public function testTheOverviewShowsEveryChangeAtOnce(): void
    {
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $page = '/clients/'.$client->id;
        $this->browser->request('GET', $page);
        foreach ([
            '/note' => [['note' => 'A note from the door'], 'A note from the door'],
            '/measure' => [
                ['m' => ['wrist_ext_hold_s:right:-:-' => '9']],
                'Pressed lift and hold: measure',
            ],
            '/placement' => [
                [
                    'ladder' => 'base-1',
                    'side' => 'right',
                    'rung' => 'edge-wrist-lift',
                    'note' => 'Seen at home',
                ],
                'Full-arc wrist lift over the edge',
            ],
            '/screening' => [['falls' => 'yes'], 'Seated only, or supervised'],
        ] as $path => [$form, $shown]) {
            $this->post($page.$path, $form);
            $this->browser->request('GET', $page);
            self::assertStringContainsString(
                $shown,
                preg_replace('/\s+/', ' ', strip_tags($this->page())) ?? '',
                $path,
            );
        }
    }

    public function testAFreshInjectionBlocksByItsDateAloneAndAnOlderOneDoesNot(): void
    {
        $client = $this->client($clinic = $this->clinic(), $therapist = $this->staff($clinic));
        $this->signIn($therapist);
        foreach (['-1 day' => true, '-10 days' => false] as $when => $blocks) {
            $kept = $this->fresh($client);
            $this->post(
                '/clients/'.$client->id.'/edit',
                [
                    'version' => (string) $kept->version,
                    'injectedOn' => (new \DateTimeImmutable($when))->format('Y-m-d'),
                ] + self::GOOD,
            );
            $this->browser->request('GET', '/clients/'.$client->id);
            self::assertSame(
                $blocks,
                str_contains($this->page(), 'No rubbing or heat on the site for 3 days'),
                $when,
            );
        }
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function nonsense(): iterable
    {
        yield 'a zone that is none' => [['zone' => 'Mars/Base'], 'is not a time zone'];
        yield 'a condition that is none' => [
            ['conditions' => ['sunburn']],
            'There is no such condition',
        ];
        yield 'an injection tomorrow week' => [
            ['injectedOn' => (new \DateTimeImmutable('+8 days'))->format('Y-m-d')],
            'The injection lies in the future',
        ];
        yield 'an injection on no day' => [['injectedOn' => '2026-02-31'], 'is not a day written as'];
        yield 'eight days a week' => [['daysPerWeek' => '8'], 'Between 1 and 7 days a week'];
        yield 'minutes in words' => [['minutes' => 'many'], 'is not a number of minutes'];
        yield 'no hand' => [['affected' => ''], 'Say which hand is affected'];
        yield 'a third hand' => [['writingHand' => 'third'], 'Say which hand writes'];
        yield 'a name without end' => [['givenName' => str_repeat('a', 81)], 'too long'];
    }

    /** @param array<string, mixed> $change */
    #[DataProvider('nonsense')]
    public function testNonsenseIsRefusedAndNothingIsAdded(array $change, string $said): void
    {
        $this->signIn($this->staff($this->clinic()));
        $this->post('/clients/new', $change + self::GOOD);

        $this->assertStatus(422);
        self::assertStringContainsString($said, $this->page());
        self::assertSame([], $this->entities->getRepository(Client::class)->findAll());
    }
}
