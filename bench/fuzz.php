<?php

declare(strict_types=1);

// php bench/fuzz.php INPUTS SEED: what the core and the formats make of spoiled input. Ends with 1 when anything but a
// refusal in words comes of it.

use HandGarden\Bench\Fuzz\Chance;
use HandGarden\Bench\Fuzz\CoreTargets;
use HandGarden\Bench\Fuzz\Nasty;

require dirname(__DIR__).'/vendor/autoload.php';

$inputs = (int) ($argv[1] ?? 200_000);
$chance = new Chance((int) ($argv[2] ?? 1));
$targets = (new CoreTargets(dirname(__DIR__), $chance, new Nasty($chance)))->all();
$wrong = [];
$started = microtime(true);
for ($input = 0; $input < $inputs; ++$input) {
    $name = array_keys($targets)[$input % count($targets)];
    $problem = CoreTargets::outcome($targets[$name]);
    if (null !== $problem) {
        $wrong[$name.': '.$problem] = ($wrong[$name.': '.$problem] ?? 0) + 1;
    }
}
arsort($wrong);
foreach ($wrong as $problem => $times) {
    printf("%6d  %s\n", $times, substr($problem, 0, 300));
}
printf(
    "%d inputs, %d targets, seed %s, %.0f s: %d uncaught\n",
    $inputs,
    count($targets),
    $argv[2] ?? '1',
    microtime(true) - $started,
    array_sum($wrong),
);
exit([] === $wrong ? 0 : 1);
