<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Change;
use HandGarden\Assessment\InkCharts;
use HandGarden\Assessment\MeasuredChanges;
use HandGarden\Assessment\RecordingRepository;
use HandGarden\Client\Client;
use HandGarden\Core\Measure\Change\Judgement;
use HandGarden\Core\Progress\Adherence;
use HandGarden\Core\Progress\PainCourse;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Week\BlockEvidence;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanBlock;
use HandGarden\Planning\PlanRepository;
use HandGarden\Progress\Decision;
use HandGarden\Progress\DecisionAnswer;
use HandGarden\Progress\DecisionRepository;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\DayFigures;
use HandGarden\Sitting\LoggedTrend;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/** Brings together what a block has brought. */
final readonly class BlockLooks
{
    /** Days before a block whose measures stand for its begin. */
    private const BEFORE_DAYS = 14;
    private const CHARTS = 2;

    public function __construct(
        private LoggedTrend $trend,
        private SittingRepository $sittings,
        private MeasuredChanges $changes,
        private RecordingRepository $recordings,
        private BlockSamples $samples,
        private DecisionRepository $decisions,
        private Alerts $alerts,
        private Plan $plan,
        private PlanRepository $plans,
        private Periods $periods,
        private Clock $clock,
    ) {
    }

    /** @param ?int $ease how well the task goes, as it was just asked; null: not asked */
    public function of(Client $client, PlanBlock $kept, ?int $ease = null): BlockLook
    {
        $today = $this->clock->today($client->zone);
        $until = min(
            $today,
            $kept->block()->ends(),
        );
        $days = $this->trend->days($client, $kept->beginsOn);
        $done = \count(array_filter(
            $days,
            static fn (DayFigures $d): bool => $d->isPractice() && $d->day <= $until,
        ));
        $span = max(
            1,
            (int) $kept->beginsOn->diff($until)->format('%r%a') + 1,
        );
        $planned = $client->plannedDaysIn($span);
        $changes = $this->changes->since(
            $client,
            $kept->beginsOn->modify('-'.self::BEFORE_DAYS.' days'),
            self::CHARTS,
        );
        $steps = $this->steps($client, $kept);
        $time = new Timeline(
            $kept->beginsOn,
            max($kept->beginsOn, $today),
            $this->periods->of(
                $client,
                $days,
                $kept->beginsOn,
                $today,
            ),
        );
        $pair = $this->samples->of($client, $kept);
        $taken = $this->recordings->daysOf($client, $kept->sample);

        return new BlockLook(
            $kept,
            $kept->block()->dayOf($today),
            $done,
            $planned,
            changes: $changes,
            before: $kept->block()->before($taken, $today),
            after: $kept->block()->after($taken, $today),
            sample: null === $pair ? null : InkCharts::of($kept->sample, $pair),
            steps: $steps,
            adherence: Adherence::of(
                Prescribed::in($this->plan->items($client)),
                $this->sittings->log($client),
                $client->daysPerWeek,
                since: $kept->beginsOn,
                today: $until->modify('+1 day'),
            ),
            pain: (new WorkCharts($time))->pain($days),
            evidence: new BlockEvidence(
                min(1.0, $done / $planned),
                self::count($changes, Judgement::Gain),
                self::count($changes, Judgement::Loss),
                \count($steps),
                isHeld: [] !== $this->plans->suspensions($client) || [] !== $this->alerts->open($client),
                painRises: self::painRises($days),
                ease: $ease,
            ),
        );
    }

    /** @return list<Decision> */
    private function steps(Client $client, PlanBlock $kept): array
    {
        return array_values(array_filter(
            $this->decisions->for($client),
            static fn (Decision $d): bool => $d->at >= $kept->beginsOn
                && DecisionAnswer::Declined !== $d->answer
                && true === ProposalKind::tryFrom($d->kind)?->isMore(),
        ));
    }

    /** @param list<Change> $changes */
    private static function count(array $changes, Judgement $judgement): int
    {
        return \count(array_filter(
            $changes,
            static fn (Change $c): bool => $c->judgement === $judgement,
        ));
    }

    /** @param list<DayFigures> $days */
    private static function painRises(array $days): bool
    {
        return PainCourse::of(DayFigures::painsAfter($days))?->isRise() ?? false;
    }
}
