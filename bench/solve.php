<?php

declare(strict_types=1);

// php -d opcache.enable_cli=1 bench/solve.php: routines for 500 random clients of whom nearly everything is known.

use HandGarden\Bench\Stopwatch;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;

require dirname(__DIR__).'/vendor/autoload.php';

const CLIENTS = 500;
const MINUTES = [10, 15, 20, 25, 30, 45, 60, 75, 90];
$catalogue = Cases::catalogue();
$builder = new Builder($catalogue);
$tasks = $catalogue->goals;
$times = $groups = $gaps = [];
$none = 0;
for ($seed = 0; count($times) < CLIENTS; ++$seed) {
    $client = new RandomClient($seed, true);
    $facts = $client->facts([], [], 0 === $seed % 2);
    $goals = match ($seed % 4) {
        0 => Goals::none(),
        1 => Goals::from([[$tasks[$seed % 6], 3], [$tasks[($seed + 2) % 6], 1 + $seed % 3]]),
        default => Goals::one($tasks[$seed % 6]),
    };
    $brief = $client->brief(
        $facts,
        $goals,
        new Limits(MINUTES[$seed % count(MINUTES)]),
    );
    $start = Stopwatch::processorMs();
    try {
        $routine = $builder->build($brief);
    } catch (NothingFits) {
        ++$none;
        continue;
    }
    $times[] = Stopwatch::processorMs() - $start;
    $groups[] = count((new Candidates($catalogue, $brief))->groups());
    if (!$routine->isProvedBest()) {
        $gaps[] = 100 * ($routine->bound / max(1, $routine->value) - 1);
    }
}
sort($times);
sort($gaps);
sort($groups);
printf(
    "%d clients, %d more had no routine; candidates: median %d, most %d\n",
    CLIENTS,
    $none,
    $groups[intdiv(CLIENTS, 2)],
    $groups[CLIENTS - 1],
);
printf(
    "%-46s median %7.1f ms   p95 %9.1f ms   worst %7.1f ms  (processor time; limits 100 and 300)\n",
    'solve',
    $times[intdiv(CLIENTS, 2)],
    $times[(int) (0.95 * CLIENTS)],
    $times[CLIENTS - 1],
);
printf(
    "%-46s %.1f %% proved best; gap of the others median %.1f %%, largest %.1f %%\n",
    'proof',
    100 - 100 * count($gaps) / CLIENTS,
    $gaps[intdiv(count($gaps), 2)] ?? 0.0,
    [] === $gaps ? 0.0 : max($gaps),
);
printf(
    "%-46s %.1f MB  (limit 64)\n",
    'peak memory',
    memory_get_peak_usage(true) / 1e6,
);
