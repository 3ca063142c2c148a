<?php

declare(strict_types=1);

namespace HandGarden\Tests\House;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Filesystem\Filesystem;
use Symfony\Component\Process\Process;

/** `bin/stop` may run as root: it ends what this house started, whatever stands in files that others can write. */
final class StoppingTest extends TestCase
{
    private string $house;

    private Process $foreign;

    protected function setUp(): void
    {
        $this->house = sys_get_temp_dir().'/a house '.bin2hex(random_bytes(4));
        (new Filesystem())->mirror(\dirname(__DIR__, 2).'/bin', $this->house.'/bin');
        file_put_contents($this->house.'/composer.json', '{}');
        foreach (['', '/tmp', '/keep', '/log'] as $folder) {
            (new Filesystem())->mkdir($this->house.'/var/run'.$folder);
        }
        // leads a group of its own, so that a negative number could reach it
        $this->foreign = new Process(['setsid', 'sleep', '120']);
        $this->foreign->start();
        usleep(200_000);
    }

    protected function tearDown(): void
    {
        $this->foreign->stop(1.0, \SIGKILL);
        (new Filesystem())->remove($this->house);
    }

    /** @return iterable<string, array{string, string}> a file of the state folder, what stands in it; %d: the number */
    public static function numbers(): iterable
    {
        $files = ['tmp/bench.pid', 'tmp/day.pid', 'nginx.pid', 'fpm.pid'];
        array_push($files, 'keep/nginx.pid', 'keep/fpm.pid', 'keep/bench.pid', 'keep/watch.pid');
        foreach ($files as $file) {
            yield $file.', the number of another program' => [$file, '%d'];
            yield $file.', its group' => [$file, '-%d'];
            yield $file.', more than a number' => [$file, "%d\n%d"];
        }
    }

    #[DataProvider('numbers')]
    public function testEndsNoOtherProgram(string $file, string $says): void
    {
        $sleeps = $this->sleeping();
        file_put_contents($this->house.'/var/run/'.$file, str_replace('%d', (string) $sleeps, $says));

        $stop = $this->stop();
        self::assertSame(0, $stop->getExitCode(), $stop->getErrorOutput());
        usleep(50_000);
        self::assertSame($sleeps, $this->sleeping());
    }

    public function testFollowsNoLinkToANumber(): void
    {
        $sleeps = $this->sleeping();
        file_put_contents($this->house.'/number', (string) $sleeps);
        foreach (['tmp/bench.pid', 'keep/nginx.pid'] as $file) {
            symlink($this->house.'/number', $this->house.'/var/run/'.$file);
        }

        self::assertSame(0, $this->stop()->getExitCode());
        self::assertSame($sleeps, $this->sleeping());
        self::assertFileExists($this->house.'/number');
    }

    public function testSaysWhetherAnythingRan(): void
    {
        self::assertStringContainsString('nothing was running', $this->stop()->getOutput());
    }

    /** What the web user can write, root does not write through. */
    public function testWritesThroughNoLink(): void
    {
        $precious = $this->house.'/precious';
        file_put_contents($precious, 'precious');
        foreach (['log/bench.log', 'log/day.log', 'log/initdb.log', 'log/nginx.log', 'log/fpm.log'] as $log) {
            symlink($precious, $this->house.'/var/run/'.$log);
        }
        $script = <<<'SH'
            . "$1/bin/lib/house.sh"
            console() { echo written; }
            console_here() { echo written; }
            choose_state run
            APP_ENV=prod DATABASE=garden DB_PASSWORD=x APP_SECRET=x DEMO_PASSWORD=x PG_PORT=1
            start_bench 1
            if declare -F start_day >/dev/null; then start_day; fi
            write_nginx_conf 1 2>/dev/null
            sleep 1
            if declare -F stop_day >/dev/null; then stop_day; fi
            grep -h log "$STATE"/*.conf "$STATE"/keep/*.conf 2>/dev/null
            SH;
        $run = new Process(['bash', '-c', $script, 'bash', $this->house]);
        $run->run();

        self::assertStringEqualsFile($precious, 'precious', $run->getErrorOutput());
        self::assertStringNotContainsString($this->house.'/var/run/log/nginx.log', $run->getOutput());
    }

    private function stop(): Process
    {
        $stop = new Process(['bash', $this->house.'/bin/stop']);
        $stop->run();

        return $stop;
    }

    /** The number of the sleeping program; never one that reaches further than that. */
    private function sleeping(): int
    {
        $number = (int) $this->foreign->getPid();
        self::assertTrue($this->foreign->isRunning(), 'it goes on');
        self::assertGreaterThan(1, $number);

        return $number;
    }
}
