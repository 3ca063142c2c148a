<?php

declare(strict_types=1);

// Measures how densely the code is written: php tests/Architecture/air.php [--places]

use HandGarden\Tests\Architecture\Air;

require dirname(__DIR__, 2).'/vendor/autoload.php';
chdir(dirname(__DIR__, 2));

$air = Air::ofTree('src', 'tests', 'bench', 'migrations', 'config');
$wide = static function (string $ending, string ...$folders): array {
    $places = [];
    foreach (Air::files($ending, ...$folders) as $file) {
        array_push($places, ...Air::wide($file, (string) file_get_contents($file)));
    }

    return $places;
};
$found = [
    'lines over 120 columns, PHP' => $air->wideLines,
    'lines over 120 columns, templates' => $wide('twig', 'templates', 'bench'),
    'lines over 120 columns, scripts' => [
        ...$wide('js', 'assets', 'tests'),
        ...$wide('mjs', 'bin', 'bench', 'tests'),
    ],
    'lines over 120 columns, styles' => $wide('css', 'assets'),
    'nested ternaries' => $air->nestedTernaries,
    'methods with more than 6 parameters' => $air->longParameterLists,
    'calls with 5 or more bare arguments' => $air->bareCalls,
];
printf("%-40s %8.2f\n", 'tokens in a code line', $air->tokensPerLine());
printf(
    "%-40s %7.1f%%\n",
    'comment lines',
    100 * $air->commentLines / ($air->codeLines + $air->commentLines),
);
foreach ($found as $what => $places) {
    printf("%-40s %8d\n", $what, count($places));
    if (in_array('--places', $argv, true)) {
        echo implode(
            "\n",
            array_map(static fn (string $place): string => '    '.$place, $places),
        ), "\n";
    }
}
