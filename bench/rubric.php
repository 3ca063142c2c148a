<?php

declare(strict_types=1);

// php -d opcache.enable_cli=1 bench/rubric.php [CLIENTS]: what routines for random clients are like, as a therapist who
// signs them would ask. Whether a limit binds is judged here by trying to add, not by the search.

use HandGarden\Bench\Rubric;
use HandGarden\Core\Routine\Builder;
use HandGarden\Core\Routine\Candidates;
use HandGarden\Core\Routine\Goals;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\NothingFits;
use HandGarden\Tests\Core\Cases;
use HandGarden\Tests\Core\Placement\RandomClient;

require dirname(__DIR__).'/vendor/autoload.php';

const MINUTES = [10, 15, 20, 30, 45, 60, 90];
$clients = (int) ($argv[1] ?? 500);
$catalogue = Cases::catalogue();
$builder = new Builder($catalogue);
$rubric = new Rubric($catalogue);
for ($seed = 0; $rubric->routines() < $clients; ++$seed) {
    $client = new RandomClient($seed, true);
    $facts = $client->facts([], [], 0 === $seed % 2);
    $goals = Goals::one($catalogue->goals[$seed % count($catalogue->goals)]);
    $brief = $client->brief(
        $facts,
        $goals,
        new Limits(MINUTES[$seed % count(MINUTES)]),
    );
    try {
        $routine = $builder->build($brief);
    } catch (NothingFits) {
        $rubric->empty();
        continue;
    }
    $rules = $builder->rulesFor($facts, $brief->limits, $client->today);
    $rubric->add(
        $routine,
        $brief,
        (new Candidates($catalogue, $brief))->groups(),
        $rules,
    );
}
foreach ($rubric->lines() as $line) {
    echo $line, "\n";
}
