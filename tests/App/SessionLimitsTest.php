<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Client\Client;
use Symfony\Component\Clock\Clock;
use Symfony\Component\Clock\MockClock;
use Symfony\Component\Clock\Test\ClockSensitiveTrait;

/** A session that nobody uses hides its pages, keeps what was being sent, and is over after twelve hours. */
final class SessionLimitsTest extends GardenTestCase
{
    use ClockSensitiveTrait;

    private MockClock $clock;

    private Client $client;

    protected function setUp(): void
    {
        parent::setUp();
        $this->clock = new MockClock();
        Clock::set($this->clock);
        $clinic = $this->clinic();
        $therapist = $this->staff($clinic);
        $this->client = $this->client($clinic, $therapist);
        $this->signIn($therapist);
        $this->browser->request('GET', '/');
    }

    public function testAPageReadWithinHalfAnHourIsThere(): void
    {
        foreach ([1700, 1700, 1700] as $seconds) {
            $this->clock->sleep($seconds);
            $this->browser->request('GET', '/');
            $this->assertStatus(200);
        }
    }

    public function testAfterHalfAnHourAPageAsksForThePasswordAndThenShowsItself(): void
    {
        $this->clock->sleep(1801);
        $this->browser->request('GET', '/clients/'.$this->client->id);
        $this->assertStatus(401);
        self::assertStringNotContainsString('Brandt', $this->page());
        $this->browser->submitForm('Go on', ['_again' => 'wrong']);
        $this->assertStatus(422);
        self::assertStringNotContainsString('Brandt', $this->page());
        $this->browser->submitForm('Go on', ['_again' => 'secret']);
        $this->browser->followRedirect();

        $this->assertStatus(200);
        self::assertStringContainsString('Brandt', $this->page());
    }

    public function testWhatWasBeingSentIsSentOnWithThePassword(): void
    {
        $address = '/clients/'.$this->client->id.'/approaches';
        $token = $this->token($address);
        $this->clock->sleep(1801);
        $this->browser->request('POST', $address, [
            '_token' => $token,
            'question' => 'fist',
            'school' => 'a',
            'note' => 'The thumb "came" out',
        ]);
        $this->assertStatus(401);
        $this->browser->submitForm('Go on', ['_again' => 'secret']);
        $this->browser->followRedirect();

        $this->assertStatus(200);
        $this->browser->request('GET', $address);
        self::assertStringContainsString('The thumb', $this->page());
    }

    public function testAScriptIsToldThatThePageIsHidden(): void
    {
        $this->clock->sleep(1801);
        $this->browser->request('POST', '/still-here', server: ['HTTP_SEC_FETCH_MODE' => 'cors']);

        $this->assertStatus(401);
        self::assertStringContainsString('half an hour', $this->page());
    }

    public function testAPageThatAsksByItselfKeepsNobodyHere(): void
    {
        $this->clock->sleep(1700);
        $this->browser->request('GET', '/devices/'.$this->client->id.'/newest');
        $this->clock->sleep(200);
        $this->browser->request('GET', '/');

        $this->assertStatus(401);
    }

    public function testTheHiddenPageOfABrowserIsOpenedByThePasswordAlone(): void
    {
        $token = $this->token();
        $this->clock->sleep(1801);
        foreach (['wrong' => 422, 'secret' => 204] as $password => $status) {
            $this->browser->request(
                'POST',
                '/unlock',
                ['_again' => $password],
                server: ['HTTP_X_GARDEN_TOKEN' => $token, 'HTTP_SEC_FETCH_MODE' => 'cors'],
            );
            $this->assertStatus($status);
        }
        $this->browser->request('GET', '/');

        $this->assertStatus(200);
    }

    public function testAfterTwelveHoursEvenABusySessionAsks(): void
    {
        foreach (range(1, 27) as $ignored) {
            $this->clock->sleep(1601);
            $this->browser->request('GET', '/');
        }

        $this->assertStatus(401);
        self::assertStringContainsString('twelve hours', $this->shown());
        $before = $this->browser->getRequest()->getSession()->getId();
        $this->browser->submitForm('Go on', ['_again' => 'secret']);
        $this->browser->followRedirect();

        $this->assertStatus(200);
        self::assertNotSame($before, $this->browser->getRequest()->getSession()->getId());
    }
}
