<?php

declare(strict_types=1);

namespace HandGarden\Tests\Core\Device;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Frame;
use HandGarden\Core\Device\GlovePose;
use HandGarden\Core\Device\InvalidBatch;
use HandGarden\Core\Device\Seen;
use HandGarden\Core\Measure\Mode;
use HandGarden\Device\Simulated\Profile;
use HandGarden\Device\Simulated\SimulatedDevice;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class BatchTest extends TestCase
{
    private const HELLO = '{"hello":"hand-garden/device","version":1,"kind":"gauge","run":"r1"}'."\n";

    public function testABadLineCostsItselfOnly(): void
    {
        $batch = Batch::read(
            DeviceKind::Gauge,
            self::HELLO
                .'{"seq":4,"ms":200,"v":[3.5]}'
                ."\nnonsense\n"
                .'{"seq":5,"ms":250,"v":[900]}'
                ."\n"
                .'{"seq":6,"ms":300,"v":[3.5,2]}'
                ."\n"
                .'{"seq":7,"ms":350,"v":[4]}',
            new Seen(),
        );

        self::assertSame([4, 7], array_map(static fn (Frame $f): int => $f->seq, $batch->frames));
        self::assertEquals(['garbage' => 2, 'out of range' => 1], $batch->faults);
        self::assertContains('kg 900 is outside -1..120', $batch->examples);
    }

    public function testAFrameThatCameLateIsUsedAndOneThatCameTwiceIsNot(): void
    {
        $seen = new Seen('r1', 9, [7 => true, 9 => true]);
        $batch = Batch::read(
            DeviceKind::Gauge,
            self::HELLO
                .'{"seq":8,"ms":400,"v":[1]}'
                ."\n"
                .'{"seq":9,"ms":450,"v":[2]}'
                ."\n"
                .'{"seq":10,"ms":500,"v":[3]}'
                ."\n"
                .'{"seq":10,"ms":500,"v":[3]}',
            $seen,
        );

        self::assertSame([8, 10], array_map(static fn (Frame $f): int => $f->seq, $batch->frames));
        self::assertEquals(['late' => 1, 'duplicate' => 2], $batch->faults);
    }

    public function testANewRunStartsFromNothing(): void
    {
        $batch = Batch::read(
            DeviceKind::Gauge,
            self::HELLO.'{"seq":0,"ms":0,"v":[1]}',
            new Seen('before', 900, [0 => true]),
        );

        self::assertCount(1, $batch->frames);
        self::assertSame([], $batch->faults);
    }

    /** @return iterable<string, array{string}> */
    public static function strangers(): iterable
    {
        yield 'nothing' => [''];
        yield 'no hello' => ['{"seq":0,"ms":0,"v":[1]}'];
        yield 'another kind' => [
            '{"hello":"hand-garden/device","version":1,"kind":"glove","run":"r1"}',
        ];
        yield 'another version' => [
            '{"hello":"hand-garden/device","version":2,"kind":"gauge","run":"r1"}',
        ];
        yield 'a run that is no name' => [
            '{"hello":"hand-garden/device","version":1,"kind":"gauge","run":"<b>"}',
        ];
        yield 'too much' => [self::HELLO.str_repeat("{}\n", 600)];
    }

    #[DataProvider('strangers')]
    public function testLinesThatDoNotSayWhoseTheyAreAreRefused(string $lines): void
    {
        $this->expectException(InvalidBatch::class);
        Batch::read(DeviceKind::Gauge, $lines, new Seen());
    }

    /** @return iterable<string, array{DeviceKind, Profile}> */
    public static function simulated(): iterable
    {
        foreach (DeviceKind::cases() as $kind) {
            foreach (Profile::named($kind) as $profile) {
                yield $kind->value.' '.$profile->value => [$kind, $profile];
            }
        }
    }

    #[DataProvider('simulated')]
    public function testEverySimulatedDeviceSpeaksTheProtocolWithTheFaultsOfItsProfile(
        DeviceKind $kind,
        Profile $profile,
    ): void {
        $device = new SimulatedDevice($kind, $profile);
        $lines = '';
        for ($seq = 0; $seq < 400; ++$seq) {
            $lines .= $device->lines($seq);
        }
        $batch = Batch::read(
            $kind,
            \sprintf(
                '{"hello":"%s","version":1,"kind":"%s","run":"r"}',
                Batch::PROTOCOL,
                $kind->value,
            )."\n".$lines,
            new Seen(),
        );

        $expected = match ($profile) {
            Profile::Dropout => ['duplicate', 'late'],
            Profile::Garbage => ['garbage', 'out of range'],
            default => [],
        };
        $faults = array_keys($batch->faults);
        sort($faults);
        self::assertSame($expected, $faults);
        self::assertGreaterThan(200, \count($batch->frames));
        self::assertSame(
            Profile::Dropout === $profile && $kind->rateHz() < 100,
            \count($batch->frames) < 380,
        );
    }

    public function testWhatTheGloveFeelsBecomesTheSamePoseAndReadings(): void
    {
        $values = array_fill_keys(array_keys(DeviceKind::Glove->channels()), 0.0);
        $values = ['wrist' => -30.0, 'index_pip' => 64.4, 'thumb_ip' => -12.0] + $values;
        $pose = GlovePose::from($values);

        self::assertSame(30.0, $pose->wrist, 'the drawing has wrist flexion as plus');
        self::assertSame(64.4, $pose->fingers['index'][1]);
        $readings = [];
        foreach (
            GlovePose::readings(
                $values,
                Side::Left,
                Mode::Passive,
                false,
                day: new \DateTimeImmutable('2026-01-05'),
            ) as $reading
        ) {
            self::assertSame(Side::Left, $reading->side);
            $readings[$reading->code] = $reading->value;
        }
        self::assertSame(64.0, $readings['index_pip_extension']);
        self::assertSame(-12.0, $readings['thumb_ip_extension'], 'hyperextension stays minus');
        self::assertCount(14, $readings);
    }

    public function testIndependenceComesFromTheRangesWhileOneFingerWasAsked(): void
    {
        $base = array_fill_keys(array_keys(DeviceKind::Glove->channels()), 0.0);
        $frames = [
            $base,
            [
                'index_mcp' => 40.0,
                'index_pip' => 40.0,
                'middle_mcp' => 20.0,
                'middle_pip' => 20.0,
            ] + $base,
        ];

        self::assertEqualsWithDelta(
            1.0 - 0.5 / 4.0,
            GlovePose::independence($frames, Digit::Index)->index['index'],
            1e-9,
        );
        self::assertNull(
            GlovePose::independence($frames, Digit::Ring)->index['ring'],
            'a finger that did not move says nothing',
        );
    }
}
