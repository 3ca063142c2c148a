<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\MeasuredChanges;
use HandGarden\Client\Client;
use HandGarden\Following\BlockReview;
use HandGarden\Following\Looks;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\DayFigures;
use HandGarden\Sitting\LoggedTrend;
use HandGarden\Web\Clock;

/** Asks for what a report of a time is made of. */
final readonly class AskSources
{
    public function __construct(
        private LoggedTrend $trend,
        private MeasuredChanges $changes,
        private PlanRepository $plans,
        private Looks $looks,
    ) {
    }

    public function of(Client $client, ReportSpan $span): Sources
    {
        return new Sources(
            array_values(array_filter(
                $this->trend->days($client, $span->from),
                static fn (DayFigures $d): bool => $d->day <= $span->until,
            )),
            $this->changes->between($client, $span->from, $span->until),
            $this->plans->doseHistories($client),
            array_values(array_filter(
                array_reverse($this->looks->reviews($client)),
                static fn (BlockReview $r): bool => (null !== $r->ease || null !== $r->content)
                    && $span->holds(Clock::dayOf($r->at, $client->zone)),
            )),
        );
    }
}
