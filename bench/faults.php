<?php

declare(strict_types=1);

// php bench/faults.php URL PASSWORD STATE EVENTS SEED [KIND ...]: lines of sittings are sent by four browsers while
// processes of the house are killed; each is sent until it is acknowledged, some of them again afterwards. Then it is
// counted what is lost, doubled, changed, or kept without what has to follow from it. Ends with 1 when anything is.

use HandGarden\Bench\Faults\Database;
use HandGarden\Bench\Faults\Killer;
use HandGarden\Bench\Faults\Person;
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
$people = array_map(
    static fn (int $n): Person => new Person(
        $base,
        ['maren', 'sefa', 'jory'][$n % 3].'@quayside.example',
        $password,
    ),
    range(0, 3),
);
array_map(static fn (Person $p) => $p->signIn(), $people);

// sittings to log into
$maren = $people[0];
preg_match_all(
    '#href="(/clients/[0-9a-f-]{36})"#',
    $maren->alone($maren->ask('/'))->body,
    $m,
);
$items = [];
foreach (array_unique($m[1]) as $client) {
    for ($sitting = 0; $sitting < 3; ++$sitting) {
        $start = $maren->alone($maren->ask($client.'/sittings/new'))->body;
        preg_match('/name="_token" value="([^"]+)"/', $start, $token);
        $begun = $maren->alone($maren->post(
            $client.'/sittings/new',
            [
                '_token' => $token[1] ?? '',
                'pain_before' => '1',
                'hurt_later' => 'no',
                'help' => 'none',
                'kind' => 'home',
            ],
        ))->leadsTo();
        $page = (string) parse_url($begun, \PHP_URL_PATH);
        preg_match_all(
            '/data-item="([0-9a-f-]{36})"/',
            $maren->alone($maren->ask($page.'/lines'))->body,
            $found,
        );
        foreach (array_unique($found[1]) as $item) {
            $items[] = [$page, $item];
        }
    }
}
printf(
    "%d items of %d sittings\n",
    count($items),
    count(array_unique(array_column($items, 0))),
);
if ([] === $items) {
    exit(1);
}

/** @var list<array{string, array<string, mixed>}> $waiting address and line */
$waiting = $lines = [];
$device = Uuid::v4()->toRfc4122();
for ($event = 0; $event < (int) $events; ++$event) {
    [$page, $item] = $chance->of($items);
    $line = [
        'id' => Uuid::v4()->toRfc4122(),
        'item' => $item,
        'outcome' => $chance->of(['done', 'part', 'skipped']),
        'pain_after' => $chance->below(3),
        'note' => 'n'.$event,
        'device' => $device,
        'seq' => $event,
        'device_at' => gmdate('Y-m-d\TH:i:s\Z'),
    ] + ($chance->oneIn(100) ? ['new_tingling' => true] : []);
    $waiting[] = [$page.'/log', $line];
    $lines[$line['id']] = $line;
}
$sent = $refused = 0;
$nextKill = microtime(true) + 1.0;
$started = microtime(true);
while ([] !== $waiting) {
    $now = array_splice($waiting, 0, count($people));
    $requests = [];
    foreach ($now as $n => [$path, $line]) {
        $requests[] = $people[$n]->json($path, $line);
    }
    foreach (Person::together($requests) as $n => $answer) {
        ++$sent;
        match (true) {
            200 === $answer->status => $chance->oneIn(10) ? $waiting[] = $now[$n] : null, // and once more
            in_array($answer->status, [409, 422], true) => ++$refused,
            default => $waiting[] = $now[$n],
        };
        if (in_array($answer->status, [302, 400, 403], true)) {
            $people[$n]->signIn();
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
    $line = $lines[$row['id']];
    $body = json_decode($row['body'], true);
    $isTheSame = $row['item_id'] === $line['item'] && is_array($body)
        && $body['note'] === $line['note'] && $body['outcome'] === $line['outcome'];
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
    "%d events in %d sendings, seed %s, %.0f s; killed: %s\n",
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
