<?php

declare(strict_types=1);

// Proves that a change of templates left every page as it was: php tests/Architecture/same-pages.php BEFORE AFTER
// The two folders hold the pages that the tests opened (HG_KEEP_PAGES=FOLDER vendor/bin/phpunit --testsuite app).

use HandGarden\Tests\Architecture\PageTree;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $before, $after] = $argv + [1 => '', 2 => ''];
$read = static fn (string $file): array => PageTree::linesOf((string) file_get_contents($file));
$files = glob($before.'/*.html');
$same = 0;
$other = [];
foreach (false === $files ? [] : $files as $file) {
    $twin = $after.'/'.basename($file);
    $old = $read($file);
    $new = is_file($twin) ? $read($twin) : [];
    if ($old === $new) {
        ++$same;
        continue;
    }
    $other[] = basename($file);
    foreach (array_slice(array_diff($old, $new), 0, 2) as $line) {
        echo '- ', trim($line), "\n";
    }
    foreach (array_slice(array_diff($new, $old), 0, 2) as $line) {
        echo '+ ', trim($line), "\n";
    }
}
printf("%d pages are the same, %d are not\n", $same, count($other));
echo implode("\n", array_slice($other, 0, 40)), [] === $other ? '' : "\n";
exit([] === $other ? 0 : 1);
