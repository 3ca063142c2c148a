<?php

declare(strict_types=1);

// php -d opcache.enable_cli=1 bench/clinic.php [CLIENTS] [PROCESSES]: made-up clients over twelve weeks under all
// rules, judged by an oracle that shares nothing with them. It shows that the rules hold together; it is no prognosis.
// php bench/clinic.php mutants [CLIENTS]: with one rule broken at a time the oracle has to notice.

use HandGarden\Bench\Clinic\MadeUpClient;
use HandGarden\Bench\Clinic\Mutant;
use HandGarden\Bench\Clinic\Oracle;
use HandGarden\Bench\Clinic\Tally;
use HandGarden\Bench\Clinic\VirtualClinic;
use HandGarden\Tests\Core\Cases;

require dirname(__DIR__).'/vendor/autoload.php';

$catalogue = Cases::catalogue();
$clinic = new VirtualClinic($catalogue);
if ('mutants' === ($argv[1] ?? '')) {
    $most = (int) ($argv[2] ?? 112);
    foreach (Mutant::cases() as $mutant) {
        $noticed = null;
        for ($seed = 0; null === $noticed && $seed < $most; ++$seed) {
            $client = new MadeUpClient($seed);
            foreach ((new Oracle($catalogue, $client))->judge(
                $clinic->run($client, $mutant),
            ) as $violation) {
                if ($violation->rule === $mutant->value) {
                    $noticed = $client;
                    break;
                }
            }
        }
        printf(
            "%-4s %s\n",
            $mutant->value,
            null === $noticed ? 'NOT NOTICED' : 'noticed at client '.$noticed->seed,
        );
    }
    exit;
}
$clients = (int) ($argv[1] ?? 240);
$processes = (int) ($argv[2] ?? 2);
$parts = [];
for ($part = 0; $part < $processes; ++$part) {
    $file = tempnam(sys_get_temp_dir(), 'clinic');
    if (false === $file) {
        exit(1);
    }
    $child = pcntl_fork();
    if (0 === $child) {
        $tally = new Tally();
        for ($seed = $part; $seed < $clients; $seed += $processes) {
            $client = new MadeUpClient($seed);
            $trace = $clinic->run($client);
            $tally->add(
                $client,
                $trace,
                (new Oracle($catalogue, $client))->judge($trace),
            );
        }
        file_put_contents($file, serialize($tally->counts()));
        exit;
    }
    $parts[$child] = $file;
}
$tally = new Tally();
foreach ($parts as $child => $file) {
    pcntl_waitpid($child, $status);
    $counts = unserialize(
        (string) file_get_contents($file),
        ['allowed_classes' => false],
    );
    unlink($file);
    $tally->join(is_array($counts) ? $counts : []);
}
foreach ($tally->lines() as $line) {
    echo $line, "\n";
}
