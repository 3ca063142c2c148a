<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Account\ClinicRepository;
use HandGarden\Account\ClinicSettings;
use HandGarden\Client\Client;
use HandGarden\Client\ClientRepository;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Progress\Away;
use HandGarden\Core\Progress\PainCourse;
use HandGarden\Core\Report\Gap;
use HandGarden\Core\Report\Incident;
use HandGarden\Core\Report\Material;
use HandGarden\Core\Report\NextVisit;
use HandGarden\Core\Report\Numbers;
use HandGarden\Core\Report\Practice;
use HandGarden\Core\Report\Rating;
use HandGarden\Core\Report\ReportKind;
use HandGarden\Core\Report\Step;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Screening\ScreeningQuestions;
use HandGarden\Core\Words\Joint;
use HandGarden\Following\BlockReview;
use HandGarden\Following\Looks;
use HandGarden\Following\Period;
use HandGarden\Following\Periods;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Planning\WantedTask;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\DayFigures;
use HandGarden\Sitting\HeldSitting;
use HandGarden\Sitting\LoggedPractice;
use HandGarden\Sitting\SittingRepository;
use HandGarden\Web\Clock;

/**
 * Brings together what a report of a time may tell, each thing from where it is kept.
 *
 * @phpstan-import-type DoseHistory from PlanRepository
 */
final readonly class Materials
{
    public const MOST_ALERTS = 500;
    private const GAPS = ['ill', 'away'];

    public function __construct(
        private LoggedPractice $practice,
        private SittingRepository $log,
        private MeasureMaterials $measures,
        private Periods $periods,
        private Looks $looks,
        private Alerts $alerts,
        private Plan $plan,
        private StayingItems $staying,
        private KeptHomes $homes,
        private PlanMaterials $planned,
        private WantedTask $wanted,
        private ClientRepository $clients,
        private ClinicRepository $clinics,
        private ClinicSettings $settings,
        private CatalogueStore $catalogue,
    ) {
    }

    public function of(Client $client, ReportSpan $span, Sources $sources): Material
    {
        [$from, $until] = [$span->from, $span->until];
        $sittings = $this->practice->between($client, $from, $until);
        $week = $this->staying->week($client, $span->asOf);
        $clinic = $this->clinics->own();
        $visit = $this->looks->nextVisitLook($client, $span->asOf);

        return new Material(
            $client->id,
            Joint::Comma->joining(
                array_map(static fn (Condition $c): string => $c->label(), $client->conditions()),
            ),
            implode(', ', array_map(static fn (Side $s): string => $s->value, $client->affected())),
            $from,
            until: $until,
            numbers: new Numbers($clinic->id, $clinic->phone, $clinic->emergencyNumber),
            wanted: $this->wanted->of($client) ?? '',
            practice: self::practised($client, $span, $sources->days, $sittings),
            cautions: $this->cautions($client, $span->asOf),
            measures: $this->measures->changed($client, $sources->changes),
            once: $this->measures->once($client, $from, $until),
            steps: $this->steps($client, $span, $sources->doses),
            incidents: $this->incidents($client, $span),
            gaps: $this->gaps($client, $sources->days, $sittings, $span),
            ratings: self::ratings($client, $sources->reviews),
            injectedOn: $client->injectionDay(),
            medicine: array_values(array_filter(
                $this->clients->saidYes($client, ScreeningQuestions::MEDICINE_CHANGED),
                $span->holds(...),
            )),
            findings: ReportKind::Review === $span->kind ? $this->measures->findings($client, $until) : [],
            plan: $this->planned->now($client, $week, $span->asOf),
            nextVisit: null === $visit?->visitOn ? null : new NextVisit($visit->id, $visit->visitOn),
            home: ReportKind::Discharge === $span->kind ? $this->homes->of(
                $client,
                $week,
                $span->asOf,
            ) : null,
        );
    }

    /**
     * @param list<DayFigures>  $days
     * @param list<HeldSitting> $sittings
     */
    private static function practised(
        Client $client,
        ReportSpan $span,
        array $days,
        array $sittings,
    ): Practice {
        $timed = array_filter(
            array_map(static fn (HeldSitting $s): ?float => $s->minutes, $sittings),
            static fn (?float $minutes): bool => null !== $minutes,
        );

        return new Practice(
            array_map(static fn (HeldSitting $s): string => $s->id, $sittings),
            \count(array_filter($days, static fn (DayFigures $d): bool => $d->isPractice())),
            $client->plannedDaysIn($span->days()),
            \count($timed),
            minutes: (int) round(array_sum($timed)),
            alone: \count(array_filter($sittings, static fn (HeldSitting $s): bool => false === $s->helped)),
            helped: \count(array_filter($sittings, static fn (HeldSitting $s): bool => true === $s->helped)),
            pain: PainCourse::of(DayFigures::painsAfter($days)),
        );
    }

    /** @return array<string, string> words by the question whose answer asks for them */
    private function cautions(Client $client, \DateTimeImmutable $asOf): array
    {
        $cautions = [];
        foreach ($this->plan->facts($client)->measured->screening->found($asOf) as $question) {
            $cautions[$question->id] = $question->consequence;
        }

        return $cautions;
    }

    /**
     * @param array<string, DoseHistory> $doses
     *
     * @return list<Step>
     */
    private function steps(Client $client, ReportSpan $span, array $doses): array
    {
        $steps = [];
        foreach ($doses as $key => $history) {
            $item = ItemKey::fromText($key);
            foreach ($history as $n => ['at' => $at, 'dose' => $dose, 'of' => $kept]) {
                $day = Clock::dayOf($at, $client->zone);
                $before = $history[$n - 1]['dose'] ?? null;
                if (
                    null !== $before && null !== $item && !$before->isAsHardAs($dose)
                    && $span->holds($day)
                ) {
                    $steps[] = new Step(
                        $kept->id,
                        $this->catalogue->get()->nameOf($item->rungId).', '.lcfirst($item->hands->label()),
                        DoseWords::of($before),
                        DoseWords::of($dose),
                        on: $day,
                        decisionKey: DoseSource::Decision === $kept->source ? $kept->proposalKey : null,
                    );
                }
            }
        }
        usort($steps, static fn (Step $a, Step $b): int => $a->on <=> $b->on);

        return $steps;
    }

    /** @return list<Incident> */
    private function incidents(Client $client, ReportSpan $span): array
    {
        $of = array_values(array_filter(
            $this->alerts->all($client, self::MOST_ALERTS),
            static fn (Alert $a): bool => $span->holds(Clock::dayOf($a->begunAt, $client->zone)),
        ));
        usort($of, static fn (Alert $a, Alert $b): int => [$a->begunAt, $a->id] <=> [$b->begunAt, $b->id]);

        return array_map(static fn (Alert $a): Incident => new Incident(
            $a->id,
            $a->why(),
            Clock::dayOf($a->begunAt, $client->zone),
            answeredOn: null === $a->answeredAt ? null : Clock::dayOf($a->answeredAt, $client->zone),
        ), $of);
    }

    /**
     * @param list<DayFigures> $days
     * @param list<HeldSitting> $sittings newest first
     *
     * @return list<Gap>
     */
    private function gaps(Client $client, array $days, array $sittings, ReportSpan $span): array
    {
        $gaps = [];
        foreach ($this->periods->of($client, $days, $span->from, $span->until) as $period) {
            $beside = \in_array($period->kind, self::GAPS, true) ? self::beside($sittings, $period) : [];
            if ([] !== $beside) {
                $gaps[] = new Gap(
                    $period->from,
                    $period->until,
                    'ill' === $period->kind,
                    $beside,
                    wasEased: $this->wasEased($client, $period),
                );
            }
        }

        return $gaps;
    }

    /** Whether it was long enough that what is given was made easier after it. */
    private function wasEased(Client $client, Period $gap): bool
    {
        return (new Away(
            $this->settings->of($client->clinicId)->progress(),
            $this->log->log($client),
            $client->daysPerWeek,
            $gap->until->modify('+1 day'),
        ))->isAway();
    }

    /**
     * @param list<HeldSitting> $sittings newest first
     *
     * @return list<string> the last before it, the first after it
     */
    private static function beside(array $sittings, Period $gap): array
    {
        $before = $after = null;
        foreach ($sittings as $sitting) {
            if ($sitting->day > $gap->until) {
                $after = $sitting->id;
            }
            if ($sitting->day < $gap->from) {
                $before ??= $sitting->id;
            }
        }

        return array_values(array_filter([$before, $after], static fn (?string $id): bool => null !== $id));
    }

    /**
     * @param list<BlockReview> $reviews oldest first
     *
     * @return list<Rating>
     */
    private static function ratings(Client $client, array $reviews): array
    {
        return array_map(static fn (BlockReview $r): Rating => new Rating(
            $r->id,
            Clock::dayOf($r->at, $client->zone),
            $r->ease,
            $r->content,
        ), $reviews);
    }
}
