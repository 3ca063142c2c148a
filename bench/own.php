<?php

declare(strict_types=1);

// Prints an exercise as a clinic would have written it, for the many of the search.

use HandGarden\Content\CatalogueStore;

require dirname(__DIR__).'/vendor/autoload.php';

$ladder = CatalogueStore::yaml(dirname(__DIR__).'/catalogue', 'ladders/separate-1.yaml');
$rung = is_array($ladder) && is_array($ladder['rungs']) && is_array($ladder['rungs'][1])
    ? $ladder['rungs'][1]
    : [];
unset($rung['id']);
echo str_replace("'", "''", json_encode($rung + ['strand' => 'separate'], \JSON_THROW_ON_ERROR));
