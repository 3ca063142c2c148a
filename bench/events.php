<?php

declare(strict_types=1);

// php bench/events.php URL PASSWORD: batches of 20 events from eight browsers at once, against the bare signed-in page
// asked for by as many.

use HandGarden\Bench\Faults\AtOnce;
use HandGarden\Bench\Faults\Person;
use HandGarden\Bench\Faults\PlayedSitting;

require dirname(__DIR__).'/vendor/autoload.php';

const BROWSERS = 8;
const EACH = 60;
/** Batches of one sitting, then the next is played. */
const A_SITTING = 6;
[, $base, $password] = $argv;
assert('' !== $base);
$people = array_map(static fn (int $n): Person => new Person(
    $base,
    ['maren', 'sefa', 'jory'][$n % 3].'@quayside.example',
    $password,
), range(0, BROWSERS - 1));
array_map(static fn (Person $p) => $p->signIn(), $people);
preg_match_all(
    '#href="(/clients/[0-9a-f-]{36})"#',
    $people[0]->alone($people[0]->ask('/'))->body,
    $found,
);
$clients = array_values(array_unique($found[1]));
/** @var array<int, non-empty-list<PlayedSitting>> $played by browser */
$played = [];
foreach ($people as $n => $person) {
    for ($i = 0; $i < 2 * EACH / A_SITTING; ++$i) {
        $played[$n][] = PlayedSitting::begun($base, $person, $clients[$n % count($clients)])
            ?? throw new RuntimeException('Nothing is begun.');
    }
}

$page = static fn (int $n): CurlHandle => $people[$n]->ask('/bench/signed-in');
$sent = array_fill(0, BROWSERS, 0);
// what is kept in a minute of practice: two exercises, counted every second or so, each told of
$send = static function (int $n) use ($played, &$sent): CurlHandle {
    $round = $sent[$n]++;
    $sitting = $played[$n][intdiv($round, A_SITTING)];
    $events = [];
    for ($i = 0; $i < 2; ++$i) {
        $item = $sitting->items[(2 * $round + $i) % count($sitting->items)];
        for ($count = 1; $count < 10; ++$count) {
            $events[] = $sitting->event('counted', $item, ['repetitions' => $count]);
        }
        $events[] = $sitting->event('line', $item, ['outcome' => 'done', 'felt' => 'right']);
    }

    return $sitting->batch($events);
};
$warm = [AtOnce::run(BROWSERS, EACH, $page), AtOnce::run(BROWSERS, EACH, $send)];
$bare = AtOnce::run(BROWSERS, EACH, $page);
$batches = AtOnce::run(BROWSERS, EACH, $send);
foreach (['bare signed-in page' => $bare, 'batches of 20 events' => $batches] as $what => $run) {
    printf(
        "%-24s %6.1f a second, median %5.1f ms, 95 %% %5.1f ms, %d clients\n",
        $what,
        $run->eachSecond(),
        $run->milliseconds(0.5),
        $run->milliseconds(0.95),
        BROWSERS,
    );
}
$wrong = $bare->wrong + $batches->wrong + $warm[0]->wrong + $warm[1]->wrong;
printf(
    "%.0f %% of the bare signed-in page, %d answers other than 200\n",
    100 * $batches->eachSecond() / $bare->eachSecond(),
    $wrong,
);
exit(0 === $wrong ? 0 : 1);
