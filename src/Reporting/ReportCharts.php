<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Change;
use HandGarden\Assessment\Chart\Chart;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Following\DoseCharts;
use HandGarden\Following\Periods;
use HandGarden\Following\Timeline;
use HandGarden\Following\WorkCharts;
use HandGarden\Planning\PlanRepository;
use HandGarden\Web\Clock;

/**
 * The charts of the time of a report: what moved, what was kept up, how it felt; for colleagues the doses too. A letter
 * draws none.
 *
 * @phpstan-import-type DoseHistory from PlanRepository
 */
final readonly class ReportCharts
{
    private const MEASURES = 2;
    private const DOSES = 2;
    /** Single joints stand in the table; drawn is what they add up to. */
    private const DRAWN = '/^(opening|wrist_extension|total_|tone_|opposition|grip_|blocks_|tremor_|spiral_)/';

    public function __construct(
        private Periods $periods,
        private DoseCharts $ofDoses,
    ) {
    }

    /** @return list<Chart> */
    public function of(Client $client, ReportSpan $span, Sources $sources): array
    {
        if (ReportKind::Letter === $span->kind) {
            return [];
        }
        $days = $sources->days;
        $charts = new WorkCharts(new Timeline(
            $span->from,
            $span->until,
            $this->periods->of($client, $days, $span->from, $span->until),
        ));

        return [
            ...self::measured($sources->changes),
            ...ReportKind::Review === $span->kind ? $this->doses(
                $client,
                $span,
                $sources->doses,
                $charts,
            ) : [],
            ...[] === $days ? [] : [$charts->keptUp($days, $client->daysPerWeek), $charts->pain($days)],
            ...\count($sources->reviews) < 2 ? [] : [$charts->felt($sources->reviews, $client->zone)],
        ];
    }

    /**
     * @param array<string, DoseHistory> $histories
     *
     * @return list<Chart> of the exercises whose dose moved oftenest in the time
     */
    private function doses(Client $client, ReportSpan $span, array $histories, WorkCharts $charts): array
    {
        $steps = [];
        foreach ($histories as $key => $history) {
            $within = array_filter(
                \array_slice($history, 1),
                static fn (array $d): bool => $span->holds(Clock::dayOf($d['at'], $client->zone)),
            );
            $amounts = array_unique(array_map(
                static fn (array $d): string => $d['dose']->holdSeconds.' '.$d['dose']->repetitions,
                [$history[0], ...$within],
            ));
            if (\count($amounts) > 1) { // a step of another kind is no line that moves
                $steps[$key] = \count($within);
            }
        }
        arsort($steps);

        return array_values(array_filter(array_map(
            fn (string $key): ?Chart => $this->ofDoses->of(
                $client,
                $key,
                $histories[$key],
                $charts,
                from: $span->from,
                until: $span->until,
            ),
            \array_slice(array_keys($steps), 0, self::DOSES),
        )));
    }

    /**
     * @param list<Change> $changes
     *
     * @return list<Chart> lost ground before gains, then how far the hand opens; of each measure one
     */
    private static function measured(array $changes): array
    {
        $drawn = [];
        foreach ($changes as $change) {
            $code = explode('|', $change->key)[0];
            $hasMoved = \in_array($change->judgement, [Judgement::Loss, Judgement::Gain], true);
            $isAsked = 'opening' === $code && Judgement::NoChange === $change->judgement;
            if ($isAsked || ($hasMoved && 1 === preg_match(self::DRAWN, $code))) {
                $drawn[$code] ??= $change;
            }
        }

        return array_values(array_filter(array_map(
            static fn (Change $c): ?Chart => $c->drawn()->chart,
            \array_slice(array_values($drawn), 0, self::MEASURES),
        )));
    }
}
