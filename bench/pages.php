<?php

declare(strict_types=1);

// php bench/pages.php URL PASSWORD: pages over one kept connection, 300 requests after 50, against two yardsticks.

use HandGarden\Bench\Browser;
use HandGarden\Bench\Stopwatch;

require dirname(__DIR__).'/vendor/autoload.php';

[, $base, $password] = $argv;
$browser = Browser::signedIn($base, $password);
$get = $browser->get(...);
$find = $browser->find(...);
$client = $find('#href="(/clients/[0-9a-f-]{36})">Odalys#', $get('/'));
$form = $get($client.'/measure');
$figures = [
    '_token' => $find('/name="_token" value="([^"]+)"/', $form),
    'm' => ['index_mcp_flexion:right:active:-' => '80', 'index_mcp_extension:right:active:-' => '20'],
];
$page = static fn (string $path): Closure => static fn (): string => $get($path);

$bare = Stopwatch::run(
    'bare Twig page',
    50,
    300,
    $page('/bench/twig'),
);
$signedIn = Stopwatch::run(
    'bare signed-in page, session in PostgreSQL',
    50,
    300,
    $page('/bench/signed-in'),
);
$median = Stopwatch::run(
    'client page',
    50,
    300,
    $page($client),
    limitMs: 2 * $signedIn,
);
printf(
    "%-46s %.2f x the signed-in page, %.2f x the bare Twig page\n",
    'client page',
    $median / $signedIn,
    $median / $bare,
);
foreach (
    [
        'Today' => '/',
        'placement' => $client.'/placement',
        'routine' => $client.'/routine',
        'measure' => $client.'/measure',
        'measure, everything' => $client.'/measure?set=everything',
        'findings' => $client.'/findings',
        'decisions' => $client.'/decisions',
        'four minutes' => $client.'/look',
        'logbook' => $client.'/logbook',
        'trends' => $client.'/trends',
    ] as $name => $path
) {
    Stopwatch::run(
        $name,
        20,
        100,
        $page($path),
    );
}
Stopwatch::run(
    'search, 2,000 own exercises beside the catalogue',
    20,
    100,
    $page('/exercises?words=lift+ring&condition=stroke&minutes=5'),
    limitMs: 50.0,
);
Stopwatch::run(
    'figures as you type, round trip',
    20,
    200,
    static fn (): string => $get(
        $client.'/measure/figures',
        $figures,
    ),
    limitMs: 100.0,
);
