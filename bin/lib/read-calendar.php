<?php

declare(strict_types=1);

// A calendar from standard input as busy times: read-calendar.php FIRST_DAY DAY_AFTER ZONE. Writes JSON: the spans in
// seconds since 1970, or what is wrong. Run by CalendarReading, which ends it when it takes too long.

use HandGarden\Content\Format\CalendarFormat;
use HandGarden\Core\Data\InvalidData;

require __DIR__.'/../../vendor/autoload.php';

error_reporting(\E_ALL & ~\E_DEPRECATED); // the library has some of its own
[, $from, $to, $zone] = $argv;
$in = new DateTimeZone($zone);
try {
    $busy = CalendarFormat::busy(
        (string) stream_get_contents(\STDIN),
        new DateTimeImmutable($from, $in),
        new DateTimeImmutable($to, $in),
        $in,
    );
    echo json_encode(['busy' => $busy->spans], \JSON_THROW_ON_ERROR);
} catch (InvalidData $e) {
    echo json_encode(['problem' => $e->problem], \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE);
}
