<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Account\Role;
use HandGarden\Bench\Fuzz\Chance;
use HandGarden\Bench\Fuzz\Nasty;
use HandGarden\Bench\Fuzz\Requests;
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
        $seed = (int) (getenv('HG_FUZZ_SEED') ?: 1);
        for ($batch = 0; $batch < (int) (getenv('HG_FUZZ_BATCHES') ?: 4); ++$batch) {
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
        for ($sent = 0; $sent < self::REQUESTS;) {
            $sent += $requests->round();
            foreach ($this->scripts($client, $sitting->id, $item) as [$address, $right]) {
                if ($chance->oneIn(2)) {
                    $requests->script($address, $right, $token);
                    ++$sent;
                }
            }
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
        self::assertGreaterThan(20, ($requests->answered['200'] ?? 0) + ($requests->answered['303'] ?? 0));
    }

    /** @return list<string> */
    private function pages(string $client, string $sitting): array
    {
        $pages = ['/', '/?archived=1', '/clients/new', '/clinic/weights', '/exercises', '/exercises/own/new',
            '/exercises/helped-lift-hold', '/devices', '/sittings/'.$sitting];
        foreach (
            ['', '/edit', '/screening', '/measure', '/measure?set=everything', '/findings', '/screen', '/steadiness',
                '/live', '/placement', '/goals', '/routine', '/routine?kind=clinic', '/approaches', '/week', '/week.ics',
                '/decisions', '/what-if', '/sittings/new'] as $page
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
                'guide' => ['kind' => 'spiral', 'cx' => 320, 'cy' => 190, 'start_radius' => 8, 'pitch' => 52, 'turns' => 3],
                'strokes' => [[[0, 328, 190], [12.5, 329.5, 190.1], [25, 330.8, 190.2]]],
            ]],
        ];
    }
}
