<?php

declare(strict_types=1);

// php bench/faults.php URL PASSWORD STATE EVENTS SEED [KIND ...]: what players keep is sent, in batches, while
// processes of the house are killed; each batch until it is answered, some of them again afterwards. Then it is
// counted what is lost, doubled, changed, or kept without what has to follow from it. Ends with 1 when anything is.

use HandGarden\Bench\Faults\Database;
use HandGarden\Bench\Faults\Killer;
use HandGarden\Bench\Faults\Person;
use HandGarden\Bench\Faults\PlayedSitting;
use HandGarden\Bench\Fuzz\Chance;
use Symfony\Component\Uid\Uuid;

require dirname(__DIR__).'/vendor/autoload.php';

[, $base, $password, $state, $events, $seed] = $argv;
assert('' !== $base);
$kinds = array_slice($argv, 6);
$kinds = [] === $kinds
    ? ['nginx', 'nginx worker', 'php-fpm', 'php-fpm worker', 'postgres', 'postgres process', 'watch']
    : $kinds;
$chance = new Chance((int) $seed);
$killer = new Killer($state, $chance);
$maren = new Person($base, 'maren@quayside.example', $password);
$maren->signIn();

preg_match_all(
    '#href="(/clients/[0-9a-f-]{36})"#',
    $maren->alone($maren->ask('/?name=Brandt'))->body,
    $m,
);
$sittings = [];
foreach (array_unique($m[1]) as $client) {
    for ($sitting = 0; $sitting < 3; ++$sitting) {
        $begun = PlayedSitting::begun($base, $maren, $client);
        $sittings = [...$sittings, ...(null === $begun ? [] : [$begun])];
    }
}
printf("%d sittings\n", count($sittings));
if ([] === $sittings) {
    exit(1);
}

/** @var list<array{int, list<array<string, mixed>>}> $waiting number of the sitting and its batch */
$waiting = [];
/** @var array<string, array{string, array<string, mixed>}> $lines item and body by id */
$lines = [];
for ($event = 0; $event < (int) $events;) {
    $number = $chance->below(count($sittings));
    $played = $sittings[$number];
    $batch = [];
    for ($most = 1 + $chance->below(20); $most > 0 && $event < (int) $events; --$most) {
        $item = $chance->of($played->items);
        $body = [
            'outcome' => $chance->of(['done', 'part', 'skipped']),
            'pain_after' => $chance->below(3),
            'note' => 'n'.$event++,
        ] + ($chance->oneIn(100) ? ['new_tingling' => true] : []);
        $id = Uuid::v4()->toRfc4122();
        $batch[] = ['id' => $id] + $played->event('line', $item, $body);
        $lines[$id] = [$item, $body];
    }
    $waiting[] = [$number, $batch];
}
$sent = $refused = 0;
$nextKill = microtime(true) + 1.0;
$started = microtime(true);
while ([] !== $waiting) {
    $now = [];
    foreach ($waiting as $n => [$number]) { // one batch of a sitting at a time, as a browser sends them
        if (!isset($now[$number]) && count($now) < 4) {
            $now[$number] = $waiting[$n];
            unset($waiting[$n]);
        }
    }
    [$now, $waiting] = [array_values($now), array_values($waiting)];
    $requests = array_map(
        static fn (array $sent): CurlHandle => $sittings[$sent[0]]->batch($sent[1]),
        $now,
    );
    foreach (Person::together($requests) as $n => $answer) {
        ++$sent;
        if (200 === $answer->status) {
            $refused += substr_count($answer->body, '"problem"');
        }
        if (200 !== $answer->status || $chance->oneIn(10)) {
            $waiting[] = $now[$n]; // until it is answered, and now and then once more
        }
        if (0 === $answer->status || $answer->status >= 500) {
            usleep(50_000);
        }
    }
    if (microtime(true) >= $nextKill) {
        if ('watch' === $killer->one($kinds)) {
            exec(
                'cd '.escapeshellarg(
                    dirname($state, 2),
                ).' && timeout 120 bin/start --detach --port '.(int) parse_url(
                    $base,
                    \PHP_URL_PORT,
                ).' >/dev/null 2>&1',
            );
        }
        $nextKill = microtime(true) + 1.5 + $chance->below(3_000) / 1_000;
    }
}
sleep(1);

$database = new Database();
$ids = "'".implode("','", array_keys($lines))."'";
$kept = $changed = 0;
foreach ($database->rows("SELECT id, item_id, body FROM sitting_event WHERE id IN ($ids)") as $row) {
    ++$kept;
    [$item, $told] = $lines[$row['id']];
    $body = json_decode($row['body'], true);
    $isTheSame = $row['item_id'] === $item && is_array($body)
        && $body['note'] === $told['note'] && $body['outcome'] === $told['outcome'];
    $changed += $isTheSame ? 0 : 1;
}
$counts = [
    'lost' => count($lines) - $kept,
    'doubled' => $database->number(
        "SELECT count(*) - count(DISTINCT body->>'note') FROM sitting_event WHERE id IN ($ids)",
    ),
    'changed' => $changed,
    'refused' => $refused,
    'without their line in the audit, or with two' => $database->number(
        "SELECT count(*) FROM sitting_event e WHERE e.id IN ($ids) AND 1 <> (
            SELECT count(*) FROM audit_line a WHERE a.action = 'logged' AND a.subject_id = e.id::text)",
    ),
    'symptoms that nothing rests after' => $database->number(
        "SELECT count(*) FROM sitting_event e JOIN sitting_item i ON i.id = e.item_id
            WHERE e.id IN ($ids) AND e.body->>'new_tingling' = 'true' AND NOT EXISTS (SELECT 1 FROM suspension s
                WHERE s.client_id = e.client_id AND s.item_key = i.rung_id || '|' || i.hands)",
    ),
    'resting twice' => $database->number(
        'SELECT count(*) FROM (SELECT 1 FROM suspension WHERE reopened_at IS NULL
            GROUP BY client_id, item_key HAVING count(*) > 1) AS twice',
    ),
    'items whose newest line is not the one shown' => $database->number(
        "SELECT count(*) FROM sitting_item i WHERE i.id IN (SELECT item_id FROM sitting_event WHERE id IN ($ids))
            AND i.told->>'outcome' IS DISTINCT FROM (SELECT e.body->>'outcome' FROM sitting_event e
                WHERE e.item_id = i.id AND e.kind = 'line' ORDER BY e.at DESC, e.seq DESC, e.arrival DESC LIMIT 1)",
    ),
];
printf(
    "%d events in %d batches, seed %s, %.0f s; killed: %s\n",
    count($lines),
    $sent,
    $seed,
    microtime(true) - $started,
    implode(', ', array_map(
        static fn (string $kind, int $times): string => "$times x $kind",
        array_keys($killer->killed),
        $killer->killed,
    )),
);
foreach ($counts as $what => $count) {
    printf("%6d  %s\n", $count, $what);
}
exit(0 === array_sum($counts) ? 0 : 1);
