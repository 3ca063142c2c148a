<?php

declare(strict_types=1);

// php bench/sign-in.php URL PASSWORD: a wrong password of somebody there is against one of nobody, and tries at once.
// DATABASE_URL: where the tries are counted, to be forgotten between them.

use HandGarden\Bench\SignIns;

require dirname(__DIR__).'/vendor/autoload.php';

const TRIES = 200;
const AT_ONCE = 40;
[, $base, $password] = $argv;
assert('' !== $base);
$signIns = SignIns::at($base, (string) getenv('DATABASE_URL'));

$known = $unknown = [];
foreach (range(1, TRIES + 10) as $n) {
    $of = ['sefa@quayside.example', bin2hex(random_bytes(2)).'@quayside.example'];
    $order = 0 === $n % 2 ? $of : array_reverse($of); // neither is always the first
    foreach ($order as $email) {
        $signIns->forget();
        $seconds = $signIns->wrong($email);
        if ($n > 10) {
            'sefa@quayside.example' === $email ? $known[] = $seconds : $unknown[] = $seconds;
        }
    }
}
sort($known);
sort($unknown);
[$there, $nobody] = [$known[TRIES / 2], $unknown[TRIES / 2]];
printf(
    "median of %d wrong passwords: of somebody %.1f ms, of nobody %.1f ms, difference %.1f %%\n",
    TRIES,
    1000 * $there,
    1000 * $nobody,
    100 * abs($there - $nobody) / $there,
);

$signIns->forget();
$answers = $signIns->atOnce('jory@quayside.example', AT_ONCE);
printf(
    "%d wrong passwords of one account at once: %d were looked at, %d were told to wait\n",
    AT_ONCE,
    $answers['wrong'],
    $answers['too many'],
);
$signIns->forget();
echo 'then the right one: ', $signIns->right(
    'jory@quayside.example',
    $password,
)
    ? "signed in\n"
    : "refused\n";
exit($answers['wrong'] > 5 || abs($there - $nobody) / $there >= 0.05 ? 1 : 0);
