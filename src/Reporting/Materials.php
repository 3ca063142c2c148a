<?php

declare(strict_types=1);

namespace HandGarden\Reporting;

use HandGarden\Assessment\Change;
use HandGarden\Assessment\MeasuredChanges;
use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Condition;
use HandGarden\Core\Catalogue\DoseWords;
use HandGarden\Core\Report\Gap;
use HandGarden\Core\Report\Incident;
use HandGarden\Core\Report\Material;
use HandGarden\Core\Report\Measured;
use HandGarden\Core\Report\Rating;
use HandGarden\Core\Report\Step;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Words\Joint;
use HandGarden\Following\BlockReview;
use HandGarden\Following\Looks;
use HandGarden\Following\Period;
use HandGarden\Following\Periods;
use HandGarden\Planning\DoseSource;
use HandGarden\Planning\Plan;
use HandGarden\Planning\PlanRepository;
use HandGarden\Sitting\Alert;
use HandGarden\Sitting\Alerts;
use HandGarden\Sitting\DayFigures;
use HandGarden\Sitting\LoggedDay;
use HandGarden\Sitting\LoggedDays;
use HandGarden\Sitting\LoggedTrend;
use HandGarden\Web\Clock;

/** Brings together what a report of a time may tell, each thing from where it is kept. */
final readonly class Materials
{
    private const MOST_ALERTS = 500;
    private const GAPS = ['ill', 'away'];

    public function __construct(
        private LoggedDays $sittings,
        private LoggedTrend $trend,
        private MeasuredChanges $changes,
        private Periods $periods,
        private Looks $looks,
        private Alerts $alerts,
        private Plan $plan,
        private PlanRepository $plans,
        private CatalogueStore $catalogue,
        private Clock $clock,
    ) {
    }

    public function of(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): Material
    {
        $sittings = array_values(array_filter(
            $this->sittings->between($client, $from, $until),
            static fn (LoggedDay $d): bool => $d->done + $d->part > 0,
        ));
        $days = array_values(array_filter(
            $this->trend->days($client, $from),
            static fn (DayFigures $d): bool => $d->day <= $until,
        ));
        $span = (int) $from->diff($until)->format('%a') + 1;

        return new Material(
            $client->id,
            Joint::Comma->joining(
                array_map(static fn (Condition $c): string => $c->label(), $client->conditions()),
            ),
            implode(', ', array_map(static fn (Side $s): string => $s->value, $client->affected())),
            $from,
            until: $until,
            sittings: array_map(static fn (LoggedDay $d): string => $d->id, $sittings),
            days: \count(array_filter($days, static fn (DayFigures $d): bool => $d->isPractice())),
            plannedDays: max(1, (int) round($client->daysPerWeek * $span / 7)),
            cautions: $this->cautions($client),
            measures: $this->measures($client, $from, $until),
            steps: $this->steps($client, $from, $until),
            incidents: $this->incidents($client, $from, $until),
            gaps: $this->gaps($client, $days, $sittings, $from, until: $until),
            ratings: $this->ratings($client, $from, $until),
            injectedOn: $client->injectionDay(),
            nextVisit: $this->looks->nextVisit($client, $this->clock->today($client->zone)),
        );
    }

    /** @return array<string, string> words by the question whose answer asks for them */
    private function cautions(Client $client): array
    {
        $cautions = [];
        $screening = $this->plan->facts($client)->measured->screening;
        foreach ($screening->found($this->clock->today($client->zone)) as $question) {
            $cautions[$question->id] = $question->consequence;
        }

        return $cautions;
    }

    /** @return list<Measured> */
    private function measures(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $injected = $client->injectionDay();
        $works = static fn (Change $c): bool => null !== $injected && $c->lastOn >= $injected
            && $c->firstOn <= $injected->modify('+'.Periods::INJECTION_DAYS.' days');
        $measures = [];
        foreach ($this->changes->since($client, $from, 0) as $change) {
            if ($change->lastOn <= $until) {
                $measures[] = new Measured(
                    $change->key,
                    $change->label,
                    $change->hand,
                    $change->first,
                    firstOn: $change->firstOn,
                    last: $change->last,
                    lastOn: $change->lastOn,
                    difference: $change->difference,
                    mustBeat: $change->mustBeat,
                    judgement: $change->judgement,
                    why: $change->why,
                    isInjected: $works($change),
                );
            }
        }

        return $measures;
    }

    /** @return list<Step> */
    private function steps(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $steps = [];
        foreach (array_keys($this->plans->doseCounts($client)) as $key) {
            $history = $this->plans->doseHistory($client, $key);
            foreach ($history as $n => ['at' => $at, 'dose' => $dose, 'of' => $kept]) {
                $day = Clock::dayOf($at, $client->zone);
                $before = $history[$n - 1]['dose'] ?? null;
                if (null === $before || $before->isAsHardAs($dose) || $day < $from || $day > $until) {
                    continue;
                }
                $item = ItemKey::fromText($key);
                $steps[] = new Step(
                    $kept->id,
                    null === $item ? $key : $this->catalogue->get()->nameOf(
                        $item->rungId,
                    ).', '.$item->hands->label(),
                    DoseWords::of($before),
                    DoseWords::of($dose),
                    on: $day,
                    decisionKey: DoseSource::Decision === $kept->source ? $kept->proposalKey : null,
                );
            }
        }
        usort($steps, static fn (Step $a, Step $b): int => $a->on <=> $b->on);

        return $steps;
    }

    /** @return list<Incident> */
    private function incidents(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $of = array_filter(
            $this->alerts->all($client, self::MOST_ALERTS),
            static fn (Alert $a): bool => self::isWithin(
                Clock::dayOf($a->begunAt, $client->zone),
                $from,
                $until,
            ),
        );

        return array_map(static fn (Alert $a): Incident => new Incident(
            $a->id,
            $a->why(),
            Clock::dayOf($a->begunAt, $client->zone),
            answeredOn: null === $a->answeredAt ? null : Clock::dayOf($a->answeredAt, $client->zone),
        ), array_reverse(array_values($of)));
    }

    /**
     * @param list<DayFigures> $days
     * @param list<LoggedDay>  $sittings newest first
     *
     * @return list<Gap>
     */
    private function gaps(
        Client $client,
        array $days,
        array $sittings,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
    ): array {
        $gaps = [];
        foreach ($this->periods->of($client, $days, $from, $until) as $period) {
            $beside = \in_array($period->kind, self::GAPS, true) ? self::beside($sittings, $period) : [];
            if ([] !== $beside) {
                $gaps[] = new Gap($period->from, $period->until, 'ill' === $period->kind, $beside);
            }
        }

        return $gaps;
    }

    /**
     * @param list<LoggedDay> $sittings newest first
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

    /** @return list<Rating> */
    private function ratings(Client $client, \DateTimeImmutable $from, \DateTimeImmutable $until): array
    {
        $of = array_filter(
            $this->looks->reviews($client),
            static fn (BlockReview $r): bool => (null !== $r->ease || null !== $r->content)
                && self::isWithin(Clock::dayOf($r->at, $client->zone), $from, $until),
        );

        return array_map(static fn (BlockReview $r): Rating => new Rating(
            $r->id,
            Clock::dayOf($r->at, $client->zone),
            $r->ease,
            $r->content,
        ), array_reverse(array_values($of)));
    }

    private static function isWithin(
        \DateTimeImmutable $day,
        \DateTimeImmutable $from,
        \DateTimeImmutable $until,
    ): bool {
        return $day >= $from && $day <= $until;
    }
}
