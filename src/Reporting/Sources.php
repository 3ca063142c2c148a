<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Change;
use HandGarden\Following\BlockReview;
use HandGarden\Sitting\DayFigures;

/** What both the words and the charts of a report are made of, asked for once. */
final readonly class Sources
{
    /**
     * @param list<DayFigures>  $days    oldest first
     * @param list<Change>      $changes
     * @param list<BlockReview> $reviews in which the client was asked how it goes, oldest first
     */
    public function __construct(
        public array $days,
        public array $changes,
        public array $reviews,
    ) {
    }
}
