<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Assessment\ReadingRepository;
use HandGarden\Assessment\Recording;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Measure\Source;
use HandGarden\Core\Measure\Steadiness\SetUp;
use HandGarden\Device\Simulated\Profile;
use HandGarden\Device\Simulated\SimulatedDevice;

final class RecordingTest extends OdalysTestCase
{
    private const SCREEN = '1280x800@1:100';

    public function testADrawingIsAnalysedAndWithoutACalibrationSaysNoMillimetres(): void
    {
        self::assertSame(200, $this->postJson($this->path('/screen'), $this->line(3.0)));
        $record = $this->entities->getRepository(Recording::class)->findOneBy([]);
        self::assertNotNull($record);
        self::assertNull($record->found['rms_mm']);
        self::assertNull(
            $this
                ->service(ReadingRepository::class)
                ->for($this->odalys)
                ->newest('line_off_mm', Side::Right),
        );
        self::assertStringNotContainsString(
            'pixels_per_mm',
            $record->raw,
            'what the browser says of its scale is not believed',
        );
    }

    public function testAfterCalibrationTheFigureIsInMillimetresOnThatScreenOnly(): void
    {
        $this->post(
            $this->path('/screen/scale'),
            ['card' => '342.4', 'screen' => self::SCREEN, 'task' => 'line'],
        );
        $this->postJson($this->path('/screen'), $this->line(6.0));
        $reading = $this
            ->service(ReadingRepository::class)
            ->for($this->odalys)
            ->newest('line_off_mm', Side::Right);

        self::assertEqualsWithDelta(6.0 / 4.0, $reading?->value, 0.02);
        self::assertSame(Source::Screen, $reading?->taken?->source);
        $this->postJson($this->path('/screen'), ['screen' => '1280x800@1.5:100'] + $this->line(6.0));
        $newest = $this->entities->getRepository(Recording::class)->findBy(
            [],
            ['at' => 'DESC', 'id' => 'DESC'],
        )[0];
        self::assertNull($newest->found['rms_mm'], 'another zoom is not calibrated');
    }

    public function testACardNoScreenShowsIsRefused(): void
    {
        $this->post($this->path('/screen/scale'), ['card' => '4', 'screen' => self::SCREEN]);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.halt', 'is on no screen');
    }

    public function testTwoDrawingsLieOverEachOtherAndTheStrokesAreAnOpenFile(): void
    {
        foreach ([2.0, 5.0] as $off) {
            $this->postJson($this->path('/screen'), $this->line($off));
        }
        $this->browser->request('GET', $this->path('/screen?task=line&side=right'));
        self::assertSelectorExists('polyline.guide-line');
        self::assertSelectorExists('polyline.before-line');
        self::assertSelectorExists('polyline.after-line');
        $this->browser->request(
            'GET',
            (string) $this->browser
                ->getCrawler()
                ->filter('a[href*="/recordings/"]')
                ->first()
                ->attr('href'),
        );
        $file = json_decode($this->page(), true, 16, \JSON_THROW_ON_ERROR);
        self::assertIsArray($file);
        self::assertSame('hand-garden/ink', $file['format']);
    }

    public function testASignatureStaysOutOfExportsUnlessAskedFor(): void
    {
        $this->postJson(
            $this->path('/screen'),
            ['task' => 'word', 'signature' => true, 'guide' => null] + $this->line(3.0),
        );
        $record = $this->entities->getRepository(Recording::class)->findOneBy(
            ['task' => 'signature'],
        );
        self::assertNotNull($record);
        $this->browser->request('GET', $this->path('/recordings/'.$record->id));
        self::assertStringNotContainsString('"strokes":[', $this->page());
        $this->browser->request('GET', $this->path('/recordings/'.$record->id.'?with_strokes=1'));
        self::assertStringContainsString('"strokes":[', $this->page());
    }

    public function testNonsenseIsRefusedWithItsPlace(): void
    {
        self::assertSame(
            422,
            $this->postJson(
                $this->path('/screen'),
                ['strokes' => [[['x', 2, 3]]]] + $this->line(1.0),
            ),
        );
        self::assertStringContainsString('strokes[0]', $this->page());
        self::assertSame(
            422,
            $this->postJson($this->path('/screen'), ['task' => 'painting'] + $this->line(1.0)),
        );
        self::assertCount(0, $this->entities->getRepository(Recording::class)->findAll());
    }

    public function testATakenBackDrawingCountsNoMore(): void
    {
        $this->post($this->path('/screen/scale'), ['card' => '342.4', 'screen' => self::SCREEN]);
        $this->postJson($this->path('/screen'), $this->line(6.0));
        $record = $this->entities->getRepository(Recording::class)->findOneBy([]);
        self::assertNotNull($record);
        $this->post($this->path('/recordings/'.$record->id.'/take-back'), []);

        self::assertNull(
            $this
                ->service(ReadingRepository::class)
                ->for($this->odalys)
                ->newest('line_off_mm', Side::Right),
        );
        self::assertNotNull($this->fresh($record)->withdrawnAt);
    }

    public function testASteadyingTrialFollowsItsShuffledOrderAndItsOutcomeIsAFact(): void
    {
        $this->post($this->path('/steadiness/trial'), ['set_ups' => ['support'], 'trials' => '3']);
        parse_str(
            (string) parse_url(
                (string) $this->browser->getResponse()->headers->get('Location'),
                \PHP_URL_QUERY,
            ),
            $query,
        );
        $trial = $query['trial'] ?? '';
        self::assertIsString($trial);
        $plan = \HandGarden\Assessment\TrialPlan::parse($trial);
        self::assertNotNull($plan);
        self::assertCount(6, $plan->order());
        foreach ($plan->order() as $i => $setUp) {
            $this->upload(
                $this->trace(SetUp::Unsupported === $setUp ? 1.4 : 0.5, $i),
                ['trial' => $trial, 'side' => 'right', 'action' => 'action'],
            );
        }
        $this->browser->request('GET', $this->path('/steadiness?trial='.$trial));
        self::assertSelectorTextContains('main', 'Rest the elbow on the table first.');
        $this->post($this->path('/steadiness/outcome'), ['trial' => $trial]);

        self::assertTrue(
            $this
                ->service(ReadingRepository::class)
                ->for($this->odalys)
                ->newest('steady_gain', Side::Right, null, 'support')?->value,
        );
        $this->upload($this->trace(1.0, 9), ['trial' => $trial, 'side' => 'right']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.halt', 'this trial is complete');
    }

    public function testATrialWithoutASecondSetUpIsNotPlanned(): void
    {
        $this->post($this->path('/steadiness/trial'), ['trials' => '3']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.halt', 'at least one set-up');
        $this->post($this->path('/steadiness/outcome'), ['trial' => 'trial-7-3-support']);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.halt', 'Nothing was recorded');
    }

    public function testAFileThatIsNoTraceIsRefused(): void
    {
        $this->upload('{"format":"hand-garden/ink","version":1}', []);
        $this->browser->followRedirect();
        self::assertSelectorTextContains('.halt', 'Nothing was kept');
        self::assertCount(0, $this->entities->getRepository(Recording::class)->findAll());
    }

    /** @return array<string, mixed> a straight line so many pixels beside the guide */
    private function line(float $off): array
    {
        $points = [];
        for ($i = 0; $i <= 200; ++$i) {
            $points[] = [10 * $i, 100 + 2 * $i, 200 + $off, 0.5];
        }

        return [
            'format' => 'hand-garden/ink',
            'version' => 1,
            'task' => 'line',
            'side' => 'right',
            'pointer' => 'pen',
            'screen' => self::SCREEN,
            'guide' => ['kind' => 'line', 'x1' => 100, 'y1' => 200, 'x2' => 500, 'y2' => 200],
            'strokes' => [$points],
        ];
    }

    private function trace(float $share, int $seed): string
    {
        $device = new SimulatedDevice(DeviceKind::Motion, Profile::Tremor, $seed);
        $samples = [];
        for ($i = 0; $i < 2000; ++$i) {
            [$x, $y, $z] = $device->values($i / 100.0);
            $samples[] = [
                10 * $i,
                round(($share + 0.02 * $seed) * $x, 3),
                round($share * $y, 3),
                round($z, 3),
            ];
        }

        return json_encode(
            [
                'format' => 'hand-garden/trace',
                'version' => 1,
                'rate_hz' => 100,
                'samples' => $samples,
            ],
            \JSON_THROW_ON_ERROR,
        );
    }

    /** @param array<string, string> $fields */
    private function upload(string $json, array $fields): void
    {
        $token = $this->token();
        $file = tempnam(sys_get_temp_dir(), 'trace');
        self::assertNotFalse($file);
        file_put_contents($file, $json);
        $this->browser->request(
            'POST',
            $this->path('/steadiness/trace'),
            ['_token' => $token] + $fields,
            [
                'file' => new \Symfony\Component\HttpFoundation\File\UploadedFile(
                    $file,
                    'trace.json',
                    'application/json',
                    null,
                    test: true,
                ),
            ],
        );
    }

    private function path(string $rest): string
    {
        return '/clients/'.$this->odalys->id.$rest;
    }
}
