<?php

declare(strict_types=1);

namespace HandGarden\Tests\App;

use HandGarden\Core\Device\Batch;
use HandGarden\Core\Device\DeviceKind;
use HandGarden\Core\Device\Seen;
use HandGarden\Device\Simulated\DeviceCommand;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Console\Tester\CommandTester;
use Symfony\Component\HttpClient\Exception\TransportException;
use Symfony\Component\HttpClient\MockHttpClient;
use Symfony\Component\HttpClient\Response\MockResponse;

/** A simulated device against a server that answers as told. */
final class DeviceCommandTest extends TestCase
{
    /** @return iterable<string, array{string, string}> */
    public static function devices(): iterable
    {
        yield 'glove' => ['glove', 'tremor'];
        yield 'gauge' => ['gauge', 'good'];
        yield 'motion' => ['motion', 'tremor'];
    }

    #[DataProvider('devices')]
    public function testPrintsLinesThatTheApplicationReads(string $kind, string $profile): void
    {
        $tester = new CommandTester(new DeviceCommand(new MockHttpClient(), '', ''));
        self::assertSame(
            0,
            $tester->execute(
                ['kind' => $kind, '--behaviour' => $profile, '--print' => true, '--seconds' => '2'],
            ),
        );
        $batch = Batch::read(DeviceKind::from($kind), $tester->getDisplay(), new Seen());

        self::assertCount(2 * DeviceKind::from($kind)->rateHz(), $batch->frames);
        self::assertSame([], $batch->faults);
    }

    public function testDeliversWithItsTokenAtItsPace(): void
    {
        $bodies = [];
        $http =
            new MockHttpClient(
                static function (
                    string $method,
                    string $url,
                    array $options,
                ) use (&$bodies): MockResponse {
                    self::assertSame('http://127.0.0.1:1/device/frames', $url);
                    self::assertIsArray($options['headers']);
                    self::assertContains('Authorization: Bearer secret', $options['headers']);
                    self::assertIsString($options['body']);
                    $bodies[] = $options['body'];

                    return new MockResponse('{"taken":2}');
                },
            );
        $began = microtime(true);
        self::assertSame(
            0,
            (
                new CommandTester(new DeviceCommand($http, 'http://127.0.0.1:1', 'secret'))
            )->execute(['kind' => 'glove', '--seconds' => '0.48']),
        );

        self::assertGreaterThan(
            0.3,
            microtime(true) - $began,
            'a hand does not move faster because nobody looks',
        );
        self::assertCount(8, $bodies, 'three frames a delivery');
        self::assertStringStartsWith('{"hello":"hand-garden\/device"', $bodies[0]);
    }

    public function testGoesOnMeasuringWhileNobodyListensAndStopsWhenItIsRefused(): void
    {
        $calls = 0;
        $http = new MockHttpClient(static function () use (&$calls): MockResponse {
            ++$calls;
            if ($calls < 3) {
                throw new TransportException('no route');
            }

            return new MockResponse('Unknown token', ['http_code' => 401]);
        });
        $tester = new CommandTester(new DeviceCommand($http, 'http://127.0.0.1:1', 'secret'));

        self::assertSame(1, $tester->execute(['kind' => 'glove', '--seconds' => '5']));
        self::assertSame(3, $calls);
        self::assertStringContainsString('Not delivered: no route', $tester->getDisplay());
        self::assertStringContainsString('Refused: Unknown token', $tester->getDisplay());
    }

    public function testSaysWhatItCanBeAndWhatItMisses(): void
    {
        $tester = new CommandTester(new DeviceCommand(new MockHttpClient(), '', ''));
        self::assertSame(2, $tester->execute(['kind' => 'toaster']));
        self::assertStringContainsString(
            'gauge: good, tight, dropout, garbage',
            $tester->getDisplay(),
        );
        self::assertSame(2, $tester->execute(['kind' => 'gauge', '--behaviour' => 'tremor']));
        self::assertSame(1, $tester->execute(['kind' => 'gauge']));
        self::assertStringContainsString('HG_DEVICE_TOKEN', $tester->getDisplay());
    }
}
