<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Bench\Fuzz\Chance;
use HandGarden\Bench\Fuzz\Nasty;
use HandGarden\Bench\Fuzz\Requests;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Device\Device;
use HandGarden\Tests\Core\Cases;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/**
 * Spoiled requests of somebody who is signed in never end in an error of the server. How many is told by
 * HG_FUZZ_BATCHES, from which seed by HG_FUZZ_SEED; `bench/fuzz` sends many.
 */
final class FuzzTest extends OdalysTestCase
{
    private const REQUESTS = 100;

    /** @return iterable<string, array{int}> */
    public static function seeds(): iterable
    {
        $seed = self::told('HG_FUZZ_SEED', 1);
        for ($batch = 0; $batch < self::told('HG_FUZZ_BATCHES', 4); ++$batch) {
            yield 'seed '.($seed + $batch) => [$seed + $batch];
        }
    }

    #[DataProvider('seeds')]
    public function testNothingEndsInAnErrorOfTheServer(int $seed): void
    {
        $this->signIn($this->staff($this->quayside(), Role::Lead));
        $client = '/clients/'.$this->odalys->id;
        $this->post($client.'/routine/suggest', []);
        $sitting = $this->sitting($this->odalys, $this->therapist);
        $chance = new Chance($seed);
        $requests = new Requests(
            $this->browser,
            $this->pages($client, $sitting->id),
            $chance,
            new Nasty($chance),
        );
        $token = $this->token();
        $item = $this->itemsOf($sitting)[0]->id;
        [$glove, $secret] = Device::register(
            $this->odalys->clinicId,
            'Glove',
            DeviceKind::Glove,
            Side::Right,
            simulated: true,
            now: new \DateTimeImmutable(),
        );
        $this->keep($glove);
        for ($sent = 0; $sent < self::REQUESTS;) {
            $sent += $requests->round();
            foreach ($this->scripts($client, $sitting->id, $item) as [$address, $right]) {
                $requests->script($address, $right, $token);
                ++$sent;
            }
            foreach ($this->fields($client) as [$address, $right]) {
                $requests->fields($address, $right, $token);
                ++$sent;
            }
            $files = ['trace' => $client.'/steadiness/trace', 'own' => '/exercises/own/import'];
            foreach ($files as $example => $address) {
                $requests->file($address, self::example($example), $token);
                ++$sent;
            }
            $requests->lines('/device/frames', self::delivery(), $secret);
            ++$sent;
        }
        $log = getenv('HG_FUZZ_LOG');
        if (\is_string($log) && '' !== $log) {
            file_put_contents(
                $log,
                json_encode([$seed, $requests->answered, $requests->wrong])."\n",
                \FILE_APPEND,
            );
        }

        self::assertSame([], $requests->wrong);
        self::assertGreaterThan(20, ($requests->answered[200] ?? 0) + ($requests->answered[303] ?? 0));
    }

    /** @return list<array{string, array<string, mixed>}> */
    private function fields(string $client): array
    {
        $typed = ['m' => ['index_pip_flexion:right:active:-' => '60', 'grip_kg:right:-:-' => '4 5']];

        return [
            [$client.'/measure/figures', $typed + ['seen' => '1', 'note' => 'x']],
            [$client.'/screen/scale', ['card' => '342', 'screen' => '1280x800', 'task' => 'spiral']],
            ['/exercises/pose', ['view' => 'three', 'which' => 'end', 'pose' => ['end' => ['index.mcp' => '30']]]],
        ];
    }

    /** @return array<string, mixed> */
    private static function example(string $name): array
    {
        if ('own' === $name) {
            return ['strand' => 'open', 'rungs' => [['name' => 'Lift', 'how' => 'Lift it.', 'dose' => ['sets' => 2]]]];
        }
        $read = json_decode((string) file_get_contents(Cases::root().'/docs/examples/'.$name.'.json'), true);
        $example = [];
        foreach (\is_array($read) ? $read : [] as $key => $part) {
            $example[(string) $key] = \is_array($part) ? \array_slice($part, 0, 40) : $part;
        }

        return $example;
    }

    /** @return list<array<string, mixed>> */
    private static function delivery(): array
    {
        $lines = [['hello' => 'hand-garden/device', 'version' => 1, 'kind' => 'glove', 'run' => '280a6f1bf3a71f37']];
        for ($frame = 0; $frame < 5; ++$frame) {
            $lines[] = ['seq' => $frame, 'ms' => 20 * $frame, 'v' => array_fill(0, 16, 30.5)];
        }

        return $lines;
    }

    private static function told(string $name, int $otherwise): int
    {
        $told = getenv($name);

        return is_numeric($told) ? (int) $told : $otherwise;
    }

    /** @return list<string> */
    private function pages(string $client, string $sitting): array
    {
        $pages = ['/', '/?archived=1', '/clients/new', '/clinic/settings/weights', '/clinic', '/clinic/people/invite',
            '/clinic/trail', '/me', '/new-password', '/exercises', '/exercises/own/new',
            '/exercises/helped-lift-hold', '/devices', '/sittings/'.$sitting];
        foreach (
            ['', '/edit', '/screening', '/measure', '/measure?set=everything', '/findings', '/screen', '/steadiness',
                '/live', '/placement', '/goals', '/routine', '/routine?kind=clinic', '/approaches', '/week',
                '/week.ics', '/decisions', '/what-if', '/sittings/new'] as $page
        ) {
            $pages[] = $client.$page;
        }

        return $pages;
    }

    /** @return list<array{string, array<string, mixed>}> address and what is right there */
    private function scripts(string $client, string $sitting, string $item): array
    {
        return [
            ['/sittings/'.$sitting.'/log', [
                'id' => Uuid::v4()->toRfc4122(), 'item' => $item, 'outcome' => 'done', 'pain_after' => 1,
                'device' => Uuid::v4()->toRfc4122(), 'seq' => 1, 'device_at' => '2026-11-28T09:00:00Z',
                'sent_at' => '2026-11-28T09:00:01Z', 'repetitions' => 5, 'note' => 'x',
            ]],
            [$client.'/screen', [
                'task' => 'spiral', 'side' => 'right', 'pointer' => 'pen', 'pixels_per_mm' => 4.0, 'screen' => '1x1',
                'guide' => [
                    'kind' => 'spiral', 'cx' => 320, 'cy' => 190, 'start_radius' => 8, 'pitch' => 52, 'turns' => 3,
                ],
                'strokes' => [[[0, 328, 190], [12.5, 329.5, 190.1], [25, 330.8, 190.2]]],
            ]],
        ];
    }
}
