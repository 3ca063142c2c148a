<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\MeasureDraft;
use HandGarden\Assessment\RecordedReading;
use HandGarden\Assessment\Recording;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Measure\Source;
use HandGarden\Device\Device;
use HandGarden\Device\Refusals;
use HandGarden\Device\Simulated\Profile;
use HandGarden\Device\Simulated\SimulatedDevice;

final class DeviceTest extends OdalysTestCase
{
    public function testAGloveDeliversAndAShownFrameIsCapturedWhateverItDoesNext(): void
    {
        [$device, $token] = $this->device(DeviceKind::Glove);
        $this->deliver($device, $token, Profile::Tight, 0, to: 20);
        $shown = $this->newest($device);
        self::assertSame('live', $shown['state']);
        self::assertNotEmpty($shown['hand']['layers'] ?? []);
        $this->deliver($device, $token, Profile::Tight, 100, to: 120); // the hand has moved on
        self::assertNotSame($shown['frame'], $this->newest($device)['frame']);

        $this->post(
            $this->live($device, '/capture'),
            ['frame' => $shown['frame'], 'what' => 'straight', 'mode' => 'active'],
        );
        $this->assertStatus(200);
        $typed = $this->draft();
        self::assertSame(
            (string) round($shown['values']['index_pip']),
            $typed['m']['index_pip_extension:right:active:-'],
        );

        // kept on the measuring page it carries its source; typed over it does not
        $this->post(
            '/clients/'.$this->odalys->id.'/measure?set=motion',
            ['m' => ['ring_pip_extension:right:active:-' => '33']],
        );
        $kept = fn (string $code): ?RecordedReading => $this->entities->getRepository(
            RecordedReading::class,
        )->findOneBy(
            ['clientId' => $this->odalys->id, 'code' => $code],
        );
        self::assertSame(Source::Glove, $kept('index_pip_extension')?->source);
        self::assertSame(Source::Hand, $kept('ring_pip_extension')?->source);
    }

    public function testAPageThatWasOpenBeforeDoesNotEmptyWhatWasCaptured(): void
    {
        [$device, $token] = $this->device(DeviceKind::Gauge);
        $seen = (string) ((int) (microtime(true) * 1000) - 5000);
        $this->deliver($device, $token, Profile::Good, 0, to: 60);
        $first = $this->newest($device)['frame'];
        $this->post($this->live($device, '/capture'), ['frame' => $first, 'what' => 'grip']);
        $this->post($this->live($device, '/capture'), ['frame' => $first, 'what' => 'grip']);
        $this->post(
            '/clients/'.$this->odalys->id.'/measure/figures',
            ['seen' => $seen, 'm' => ['grip_kg:right:-:-' => '', 'pegs_s:right:-:-' => '40']],
        );

        $typed = $this->draft();
        self::assertMatchesRegularExpression(
            '/^[\d.]+ [\d.]+$/',
            $typed['m']['grip_kg:right:-:-'],
            'each capture is one trial',
        );
        self::assertSame('40', $typed['m']['pegs_s:right:-:-']);
    }

    public function testFaultsAreShownAndDoNotHideTheGoodFrames(): void
    {
        [$device, $token] = $this->device(DeviceKind::Glove);
        $this->deliver($device, $token, Profile::Garbage, 1, to: 100);
        $answer = $this->newest($device);

        self::assertSame('live', $answer['state']);
        self::assertStringContainsString('unreadable', implode(' ', $answer['faults']));
        self::assertStringContainsString(
            'outside what a hand can do',
            implode(' ', $answer['faults']),
        );
    }

    public function testAFrameThatIsGoneCapturesNothingAndSaysSo(): void
    {
        [$device] = $this->device(DeviceKind::Glove);
        $this->post($this->live($device, '/capture'), ['frame' => '12345.6', 'what' => 'bent']);

        $this->assertStatus(409);
        self::assertStringContainsString('nothing was captured', $this->page());
        self::assertCount(0, $this->entities->getRepository(MeasureDraft::class)->findAll());
    }

    public function testAWrongOrRetiredTokenIsRefusedAndTheBenchSaysSo(): void
    {
        [$device, $token] = $this->device(DeviceKind::Gauge);
        $before = $this->service(Refusals::class)->count();
        $this->deliver($device, 'made-up', Profile::Good, 0, to: 5, status: 401);
        $this->post('/devices/'.$device->id.'/retire', []);
        $this->deliver($device, $token, Profile::Good, 0, to: 5, status: 401);
        $this->browser->request('GET', '/devices');

        self::assertSelectorTextContains(
            'main',
            \sprintf('%d deliveries with a wrong token', $before + 2),
        );
    }

    public function testALineBeforeTheHelloIsRefused(): void
    {
        [, $token] = $this->device(DeviceKind::Gauge);
        $this->browser->request(
            'POST',
            '/device/frames',
            [],
            [],
            server: ['HTTP_AUTHORIZATION' => 'Bearer '.$token],
            content: '{"seq":1,"ms":1,"v":[1]}',
        );
        $this->assertStatus(422);
    }

    public function testARecordingOfTheWristSensorIsAnalysedAndKept(): void
    {
        [$device, $token] = $this->device(DeviceKind::Motion);
        $this->deliver($device, $token, Profile::Tremor, 0, to: 100);
        $from = $this->newest($device)['frame'];
        for ($i = 1; $i < 23; ++$i) {
            $this->deliver($device, $token, Profile::Tremor, 100 * $i, to: 100 * $i + 100);
        }
        $this->post(
            $this->live($device, '/record'),
            ['from' => $from, 'seconds' => '20', 'action' => 'posture', 'side' => 'right'],
        );
        $this->assertStatus(200);
        $record = $this->entities->getRepository(Recording::class)->findOneBy(
            ['clientId' => $this->odalys->id],
        );
        self::assertNotNull($record);
        self::assertEqualsWithDelta(5.0, $record->found['peak_hz'], 0.05);
        $reading = $this->entities->getRepository(RecordedReading::class)->findOneBy(
            ['code' => 'tremor_hz'],
        );
        self::assertSame(Source::MotionSensor, $reading?->source);
        $this->browser->request('GET', '/clients/'.$this->odalys->id.'/steadiness');
        self::assertSelectorExists('figure.chart svg[aria-label*="Shakes 5.0 times a second"]');

        // a stretch that is too short is kept and says so
        $this->post(
            $this->live($device, '/record'),
            ['from' => $from, 'seconds' => '5', 'action' => 'rest', 'side' => 'right'],
        );
        self::assertStringContainsString('Too short to say', $this->page());
    }

    public function testIndependenceIsMeasuredFromFrameToFrame(): void
    {
        [$device, $token] = $this->device(DeviceKind::Glove);
        $this->deliver($device, $token, Profile::CoMoving, 0, to: 1);
        $from = $this->newest($device)['frame'];
        $this->deliver(
            $device,
            $token,
            Profile::CoMoving,
            1,
            to: 199,
        ); // the thumb is the asked one in the first four seconds
        $this->post($this->live($device, '/independence'), ['from' => $from, 'what' => 'thumb']);
        $this->assertStatus(200);

        self::assertArrayHasKey('individuation_idx:right:-:thumb', $this->draft()['m']);
    }

    public function testAnotherClinicSeesNoDevice(): void
    {
        [$device] = $this->device(DeviceKind::Glove);
        $this->signIn($this->staff($this->clinic('Another clinic')));
        $this->browser->request('GET', '/devices/'.$device->id.'/newest');
        $this->assertStatus(404);
    }

    public function testAddingARealDeviceShowsItsTokenOnce(): void
    {
        $form = ['_request' => 'once', 'name' => 'Blue glove', 'kind' => 'glove', 'side' => 'left'];
        $form['_token'] = $this->token('/devices');
        $this->browser->request('POST', '/devices', $form);
        $this->browser->request('POST', '/devices', $form);
        $this->assertStatus(303);
        self::assertCount(
            1,
            $this->entities->getRepository(Device::class)->findAll(),
            'sent twice, added once',
        );
        $this->browser->followRedirect();
        self::assertMatchesRegularExpression('/[0-9a-f]{48}/', $this->page());
        $this->browser->request('GET', '/devices');
        self::assertDoesNotMatchRegularExpression('/[0-9a-f]{48}/', $this->page());
        $this->post('/devices', ['name' => '', 'kind' => 'toaster', 'side' => 'left']);
        $this->assertStatus(422);
    }

    /** @return array{Device, string} */
    private function device(DeviceKind $kind): array
    {
        [$device, $token] = Device::register(
            $this->odalys->clinicId,
            $kind->label(),
            $kind,
            Side::Right,
            simulated: true,
            now: new \DateTimeImmutable(),
        );

        return [$this->keep($device), $token];
    }

    private function deliver(
        Device $device,
        string $token,
        Profile $profile,
        int $from,
        int $to,
        int $status = 200,
    ): void {
        $made = new SimulatedDevice($device->kind, $profile);
        $lines = \sprintf(
            '{"hello":"%s","version":1,"kind":"%s","run":"one"}',
            Batch::PROTOCOL,
            $device->kind->value,
        )."\n";
        for ($seq = $from; $seq < $to; ++$seq) {
            $lines .= $made->lines($seq);
        }
        $this->browser->request(
            'POST',
            '/device/frames',
            [],
            [],
            server: [
                'HTTP_AUTHORIZATION' => 'Bearer '.$token,
                'CONTENT_TYPE' => 'application/x-ndjson',
            ],
            content: $lines,
        );
        $this->assertStatus($status);
        $this->signIn($this->therapist);
    }

    /**
     * @return array{
     *     state: string,
     *     frame: string,
     *     values: array<string, float>,
     *     hand: array{layers: list<mixed>}|null,
     *     faults: list<string>,
     * }
     */
    private function newest(Device $device): array
    {
        $this->browser->request('GET', '/devices/'.$device->id.'/newest?faults=1&page=abcdef');
        $this->assertStatus(200);

        /**
         * @var array{
         *     state: string,
         *     frame: string,
         *     values: array<string, float>,
         *     hand: array{layers: list<mixed>}|null,
         *     faults: list<string>,
         * } $answer
         */
        $answer = json_decode($this->page(), true, 32, \JSON_THROW_ON_ERROR);

        return $answer;
    }

    private function live(Device $device, string $what): string
    {
        return '/clients/'.$this->odalys->id.'/live/'.$device->id.$what;
    }

    /** @return array<string, array<string, string>> */
    private function draft(): array
    {
        $this->entities->clear();

        return $this->entities->getRepository(MeasureDraft::class)->findOneBy(
            ['clientId' => $this->odalys->id],
        )->typed
            ?? [];
    }
}
