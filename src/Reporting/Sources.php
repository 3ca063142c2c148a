<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Change;
use HandGarden\Following\BlockReview;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\DayFigures;

/**
 * What both the words and the charts of a report are made of, asked for once.
 *
 * @phpstan-import-type DoseHistory from PlanRepository
 */
final readonly class Sources
{
    /**
     * @param list<DayFigures>  $days    oldest first
     * @param list<Change>      $changes
     * @param array<string, DoseHistory> $doses by item key, oldest first
     * @param list<BlockReview> $reviews in which the client was asked how it goes, oldest first
     */
    public function __construct(
        public array $days,
        public array $changes,
        public array $doses,
        public array $reviews,
    ) {
    }
}
