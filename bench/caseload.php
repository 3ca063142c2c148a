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
$draft = static function (string $kind, string $from) use ($browser, $client): string {
    $token = $browser->find('/name="_token" value="([^"]+)"/', $browser->get($client.'/reports'));
    $browser->get($client.'/reports', [
        '_token' => $token,
        'kind' => $kind,
        'from' => $from,
        'until' => date('Y-m-d'),
    ]);

    return $browser->find(
        '#href="(/clients/[0-9a-f-]{36}/reports/[0-9a-f-]{36})"#',
        $browser->get($client.'/reports'),
    );
};
$began = hrtime(true);
$review = $draft('review', date('Y-m-d', strtotime('-730 days')));
printf("%-46s %.0f ms, once\n", 'a review of two years drafted, in the list', (hrtime(true) - $began) / 1e6);
$letter = $draft('letter', date('Y-m-d', strtotime('-730 days')));
$discharge = $draft('discharge', date('Y-m-d', strtotime('-730 days')));
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
        'reports' => [$client.'/reports', 6.0],
        'a review, two years' => [$review, 6.0],
        'a letter, two years' => [$letter, 6.0],
        'a discharge, two years' => [$discharge, 6.0],
        'what a line rests on, two years' => [$review.'/lines/2', 6.0],
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
