<?php

declare(strict_types=1);

// php bench/caseload.php URL PASSWORD LABEL: the pages of a clinic, against the bare signed-in page of the same run.

use HandGarden\Bench\Browser;
use HandGarden\Bench\Stopwatch;

require dirname(__DIR__).'/vendor/autoload.php';

[, $base, $password, $label] = $argv;
$browser = Browser::signedIn($base, $password);
$client = $browser->find(
    '#href="(/clients/[0-9a-f-]{36})"#',
    $browser->get('/?name=Copy+0001'),
);
echo $label, ":\n";
$page = static fn (string $path): Closure => static fn (): string => $browser->get($path);
$yardstick = Stopwatch::run(
    'bare signed-in page',
    30,
    200,
    $page('/bench/signed-in'),
);
foreach (
    [
        'Today' => ['/', 6.0],
        'Today, page 2' => ['/?page=2', 6.0],
        'Today, by name' => ['/?name=copy+00', 6.0],
        'client page' => [$client, 2.5],
        'routine' => [$client.'/routine', 6.0],
        'start of a sitting' => [$client.'/sittings/new', 6.0],
        'placement' => [$client.'/placement', 8.0],
        'decisions' => [$client.'/decisions', 8.0],
        'findings' => [$client.'/findings', 8.0],
        'four minutes' => [$client.'/look', 4.0],
        'logbook' => [$client.'/logbook', 6.0],
        'trends' => [$client.'/trends', 6.0],
        'trends, two years' => [$client.'/trends?weeks=104', 6.0],
        'review of a block' => [$client.'/block/review', 8.0],
    ] as $name => [$path, $most]
) {
    $median = Stopwatch::run(
        $name,
        10,
        60,
        $page($path),
        limitMs: $most * $yardstick,
    );
    printf(
        "%-46s %.2f x the bare signed-in page, peak %.1f MB\n",
        '',
        $median / $yardstick,
        $browser->peakMegabytes,
    );
}
