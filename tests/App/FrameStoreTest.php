<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Frame;
use HandGarden\Device\Device;
use HandGarden\Device\FrameStore;

final class FrameStoreTest extends GardenTestCase
{
    private FrameStore $store;

    private string $device;

    protected function setUp(): void
    {
        parent::setUp();
        $this->store = $this->service(FrameStore::class);
        $this->device = $this->keep(
            Device::register(
                $this->clinic()->id,
                'Gauge',
                DeviceKind::Gauge,
                Side::Right,
                simulated: true,
                now: new \DateTimeImmutable(),
            )[0],
        )->id;
    }

    public function testNothingCameYet(): void
    {
        self::assertNull($this->store->newest($this->device, DeviceKind::Gauge));
        self::assertSame(-1, $this->store->seen($this->device)->last);
        self::assertSame([], $this->store->faults($this->device, 1000)['faults']);
    }

    public function testTheNewestFrameIsFoundByTheNameItWasShownUnder(): void
    {
        $this->deliver('a', [0, 1, 2], 1000);
        $shown = $this->store->newest($this->device, DeviceKind::Gauge);
        self::assertNotNull($shown);
        self::assertSame(2, $shown->frame->seq);
        $this->deliver('a', [3], 1100);

        self::assertEquals(
            $shown,
            $this->store->find($this->device, DeviceKind::Gauge, $shown->name),
        );
        self::assertSame(3, $this->store->newest($this->device, DeviceKind::Gauge)?->frame->seq);
        foreach (['', '1', '999999.1', explode('.', $shown->name)[0].'.77', "1.1' OR 1=1"] as $name) {
            self::assertNull($this->store->find($this->device, DeviceKind::Gauge, $name), $name);
        }
    }

    public function testADeliveryOfFaultsOnlyDoesNotHideTheLastGoodFrame(): void
    {
        $this->deliver('a', [0], 1000);
        $this->store->keep(
            $this->device,
            Batch::read(
                DeviceKind::Gauge,
                $this->hello('a')."garbage\n",
                $this->store->seen($this->device),
            ),
            1100,
        );

        self::assertSame(0, $this->store->newest($this->device, DeviceKind::Gauge)?->frame->seq);
        self::assertSame(['garbage' => 1], $this->store->faults($this->device, 1200)['faults']);
        self::assertSame([], $this->store->faults($this->device, 60_000)['faults'], 'long ago');
    }

    public function testAStretchTakesLateFramesInAndStopsAtItsLengthAndItsRun(): void
    {
        $this->deliver('a', [0, 1], 1000);
        $from = $this->store->newest($this->device, DeviceKind::Gauge)->name ?? '';
        $this->deliver('a', [3, 4], 1100);
        $this->deliver('a', [2], 1150);
        $this->deliver('a', [5, 6, 7, 8, 9], 1200);
        $this->deliver('b', [0, 1, 2], 1300);

        self::assertSame(
            [1, 2, 3, 4, 5, 6, 7, 8, 9],
            self::numbers($this->store->since($this->device, DeviceKind::Gauge, $from, 10_000.0)),
        );
        self::assertSame(
            [1, 2, 3, 4],
            self::numbers($this->store->since($this->device, DeviceKind::Gauge, $from, 150.0)),
            '50 ms a frame',
        );
        self::assertSame([], $this->store->since($this->device, DeviceKind::Gauge, 'gone.1', 1000.0));
    }

    public function testTheSameFrameTwiceIsKnownAcrossDeliveries(): void
    {
        $this->deliver('a', [0, 1, 2], 1000);
        $batch = Batch::read(
            DeviceKind::Gauge,
            $this->hello('a').$this->line(2).$this->line(3),
            $this->store->seen($this->device),
        );

        self::assertSame(['duplicate' => 1], $batch->faults);
        self::assertCount(1, $batch->frames);
    }

    /**
     * @param list<Frame> $frames
     *
     * @return list<int>
     */
    private static function numbers(array $frames): array
    {
        return array_map(static fn (Frame $f): int => $f->seq, $frames);
    }

    /** @param list<int> $numbers */
    private function deliver(string $run, array $numbers, int $nowMs): void
    {
        $this->store->keep(
            $this->device,
            Batch::read(
                DeviceKind::Gauge,
                $this->hello($run).implode('', array_map($this->line(...), $numbers)),
                $this->store->seen($this->device),
            ),
            $nowMs,
        );
    }

    private function hello(string $run): string
    {
        return \sprintf(
            '{"hello":"%s","version":1,"kind":"gauge","run":"%s"}',
            Batch::PROTOCOL,
            $run,
        )."\n";
    }

    private function line(int $seq): string
    {
        return \sprintf('{"seq":%d,"ms":%d,"v":[%s]}', $seq, 50 * $seq, 0.5 * $seq)."\n";
    }
}
