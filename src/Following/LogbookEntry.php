<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Visit;
use HandGarden\Progress\Decision;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\LoggedDay;
use HandGarden\Wearing\Wear;

/** One thing that happened, on its day of the client's calendar. */
final readonly class LogbookEntry
{
    public function __construct(
        public string $kind,
        public \DateTimeImmutable $day,
        public \DateTimeImmutable $at,
        public LoggedDay|Visit|Decision|Alert|Wear $of,
    ) {
    }
}
