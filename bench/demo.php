<?php

declare(strict_types=1);

// php -d opcache.enable_cli=1 bench/demo.php [write]: lives the stories of demo/ through all rules. With `write` what
// happened is kept beside each story; without, it is held against what is kept there.

use HandGarden\Bench\Clinic\MadeUpClient;
use HandGarden\Bench\Clinic\Recorder;
use HandGarden\Bench\Clinic\Story;
use HandGarden\Bench\Clinic\VirtualClinic;
use HandGarden\Core\Data\Node;
use HandGarden\Tests\Core\Cases;

require dirname(__DIR__).'/vendor/autoload.php';

$writes = 'write' === ($argv[1] ?? '');
$catalogue = Cases::catalogue();
// any day: the loader counts from the day on which it runs
$today = new DateTimeImmutable('2026-06-30', new DateTimeZone('UTC'));
$differ = 0;
$files = glob(dirname(__DIR__).'/demo/*.json');
foreach (false === $files ? [] : $files as $file) {
    $name = basename($file, '.json');
    $told = Node::fromJson(
        (string) file_get_contents($file),
        $name.'.json',
    );
    $began = microtime(true);
    $story = Story::read($told, $catalogue, $today);
    $trace = (new VirtualClinic($catalogue, $story->days()))->run(
        new MadeUpClient($story->seed(), $story),
    );
    $record = (new Recorder($name, $story))->record($trace);
    $text = json_encode(
        $record,
        \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES,
    )."\n";
    $kept = dirname($file).'/lived/'.$name.'.json';
    if ($writes) {
        file_put_contents($kept, $text);
    }
    $isSame = is_file($kept) && file_get_contents($kept) === $text;
    $differ += $isSame ? 0 : 1;
    $sittings = array_sum(
        array_map(static fn ($day): int => count($day->sittings), $trace),
    );
    $left = array_sum(
        array_map(static fn ($day): int => count($day->left), $trace),
    );
    printf(
        "%-12s %2d sittings, %2d left out, %2d decisions, %3d kB, %4.1f s  %s\n",
        $name,
        $sittings,
        $left,
        array_sum(
            array_map(static fn ($day): int => count($day->decided), $trace),
        ),
        intdiv(strlen($text), 1000),
        microtime(true) - $began,
        $isSame ? 'as kept' : 'DIFFERS',
    );
}
exit($differ > 0 ? 1 : 0);
