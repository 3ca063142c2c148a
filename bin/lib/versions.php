<?php

declare(strict_types=1);

// Composer writes no lock file here, so transitive packages float. This keeps the list of what was installed and tested
// in docs/versions.txt: without an option it writes the list, with --check it compares and names what differs.

$root = dirname(__DIR__, 2);
/** @var array{packages: list<array{name: string, version: string}>} $installed */
$installed = json_decode(
    (string) file_get_contents($root.'/vendor/composer/installed.json'),
    true,
    512,
    \JSON_THROW_ON_ERROR,
);
$now = [];
foreach ($installed['packages'] as $package) {
    $now[$package['name']] = $package['version'];
}
ksort($now);
$lines = array_map(
    static fn (string $name, string $version): string => $name.' '.$version,
    array_keys($now),
    $now,
);
$file = $root.'/docs/versions.txt';
if (!in_array('--check', $argv, true)) {
    file_put_contents($file, implode("\n", $lines)."\n");
    exit(0);
}
$noted = file($file, \FILE_IGNORE_NEW_LINES | \FILE_SKIP_EMPTY_LINES);
$noted = false === $noted ? [] : $noted;
$direct = json_decode(
    (string) file_get_contents($root.'/composer.json'),
    true,
    512,
    \JSON_THROW_ON_ERROR,
);
$same = array_intersect($lines, $noted);
foreach (array_diff($lines, $noted) as $line) {
    echo 'now   ', $line, "\n";
}
foreach (array_diff($noted, $lines) as $line) {
    echo 'noted ', $line, "\n";
}
// A patch release of a transitive package is news, not a failure; a missing or another major version is.
$major = static fn (string $line): string => (string) preg_replace(
    '/^(\S+) v?(\d+).*$/',
    '$1 $2',
    $line,
);
$broken = array_diff(array_map($major, $noted), array_map($major, $lines));
echo count($same), ' of ', count($noted), " packages are the noted ones.\n";
exit([] === $broken ? 0 : 1);
