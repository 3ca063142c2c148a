<?php

declare(strict_types=1);

namespace HandGarden\Following;

use HandGarden\Assessment\Chart\Chart;
use HandGarden\Assessment\Chart\Plot;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Measure\Statistics;
use HandGarden\Core\Progress\LogLine;
use HandGarden\Core\Progress\Strip;
use HandGarden\Core\Progress\StripDay;
use HandGarden\Core\Wearing\WearVerdict;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;
use HandGarden\Sitting\DayFigures;
use HandGarden\Wearing\Wear;
use HandGarden\Wearing\WearPlan;
use HandGarden\Web\Clock;

/** What was done and how it felt, day by day, drawn. */
final readonly class WorkCharts
{
    private const PAIN = 10.0;
    private const FELT = 10.0;
    /** Practice days whose median is the line. */
    private const MEDIAN_OF = 5;

    public function __construct(
        private Timeline $time,
    ) {
    }

    /**
     * Days done of days planned, by week.
     *
     * @param list<DayFigures> $days
     */
    public function keptUp(array $days, int $daysPerWeek): Chart
    {
        $plot = $this->time->plot(0.0, 7.0)->up(
            [0 => '0', $daysPerWeek => (string) $daysPerWeek, 7 => '7'],
            '',
        );
        $plot->level(
            (float) $daysPerWeek,
            'aim',
            new Phrase('trend.planned'),
        );
        $done = $planned = 0;
        foreach ($this->weeks() as [$from, $until]) {
            $of = \count(array_filter(
                $days,
                static fn (DayFigures $d): bool => $d->isPractice() && $d->day >= $from && $d->day <= $until,
            ));
            $plot->bar(
                Timeline::at($from) - 0.3,
                Timeline::at($until) + 0.3,
                (float) $of,
                'trend-bar',
            );
            $done += $of;
            $planned += $daysPerWeek;
        }

        return $plot->chart(
            new Phrase('trend.kept_up'),
            $this->sentence(
                new Phrase('trend.kept_up_says', ['done' => $done, 'planned' => $planned]),
            ),
        );
    }

    /** @param list<DayFigures> $days */
    public function pain(array $days): Chart
    {
        $plot = $this->time->plot(0.0, self::PAIN)->up(
            [0 => '0', 5 => '5', 10 => '10'],
            '',
        );
        $told = array_values(array_filter(
            $days,
            static fn (DayFigures $d): bool => null !== $d->painAfter,
        ));
        foreach ($told as $day) {
            $plot->dot(
                Timeline::at($day->day),
                (float) $day->painAfter,
                $day->hasSymptom ? 'symptom-dot' : 'pain-dot',
                $day->hasSymptom ? 4.5 : 2.5,
            );
        }
        $medians = self::medians(
            $told,
            static fn (DayFigures $d): float => (float) $d->painAfter,
        );
        $this->time->line($plot, $medians, 'active-line');
        $tired = array_values(array_filter(
            $days,
            static fn (DayFigures $d): bool => null !== $d->fatigue,
        ));
        $tiring = self::medians(
            $tired,
            static fn (DayFigures $d): float => (float) $d->fatigue,
        );
        $this->time->line($plot, $tiring, 'tired-line');

        return $plot->chart(new Phrase('trend.pain'), $this->sentence(new Phrase('trend.pain_says', [
            'days' => \count($told),
            'first' => [] === $medians ? '-' : (string) $medians[0][1],
            'last' => [] === $medians ? '-' : (string) $medians[\count($medians) - 1][1],
            'tired' => [] === $tiring ? '-' : (string) $tiring[\count($tiring) - 1][1],
            'symptoms' => \count(
                array_filter($days, static fn (DayFigures $d): bool => $d->hasSymptom),
            ),
        ])));
    }

    /**
     * What the client said of the task at the ends of blocks: felt, not measured.
     *
     * @param list<BlockReview> $reviews oldest first
     */
    public function felt(array $reviews, string $zone): Chart
    {
        $plot = $this->time->plot(0.0, self::FELT)->up(
            [0 => '0', 5 => '5', 10 => '10'],
            '',
        );
        $ease = $content = [];
        foreach ($reviews as $review) {
            $day = Clock::dayOf($review->at, $zone);
            if (null !== $review->ease) {
                $ease[] = [$day, (float) $review->ease];
            }
            if (null !== $review->content) {
                $content[] = [$day, (float) $review->content];
            }
        }
        foreach ([['active-dot', $ease], ['pain-dot', $content]] as [$class, $points]) {
            foreach ($points as [$day, $value]) {
                $plot->dot(Timeline::at($day), $value, $class, 4.0);
            }
        }
        $this->time->line($plot, $ease, 'active-line');
        $this->time->line($plot, $content, 'tired-line');

        return $plot->chart(new Phrase('trend.felt'), $this->sentence(new Phrase('trend.felt_says', [
            'ease' => self::said($ease),
            'content' => self::said($content),
        ])));
    }

    /** @param list<array{\DateTimeImmutable, float}> $points oldest first */
    private static function said(array $points): string
    {
        return [] === $points ? '-' : implode(', ', array_map(
            static fn (array $p): string => (string) (int) $p[1],
            $points,
        ));
    }

    /**
     * The dose of record of an item as steps, and what was reached of it.
     *
     * @param list<LogLine>                                    $lines oldest first
     * @param list<array{at: \DateTimeImmutable, value: float}> $doses oldest first
     */
    public function item(string $name, Rung $rung, bool $isHold, array $lines, array $doses): Chart
    {
        [$least, $most] = $isHold ? $rung->dosing->range->holdSeconds : $rung->dosing->range->repetitions;
        $unit = $isHold ? ' s' : ' ×';
        $days = Strip::ofLines($lines)->days;
        $reached = array_values(
            array_filter($days, static fn (StripDay $d): bool => null !== $d->reached),
        );
        $top = max(
            [
                (float) $most,
                ...array_map(static fn (StripDay $d): float => (float) $d->reached, $reached),
            ],
        );
        $plot = $this->time->plot(0.0, 1.1 * max(1.0, $top))->up(
            [
                (string) $least => $least.$unit,
                (string) $most => $most.$unit,
            ],
            '',
        );
        $plot->band((float) $least, (float) $most, 'range-band');
        $this->steps($plot, $doses);
        foreach ($reached as $day) {
            $isMet = $day->reached >= ($day->asked ?? 1);
            $plot->dot(
                Timeline::at($day->day),
                (float) $day->reached,
                $isMet ? 'active-dot' : 'missed-dot',
                3.0,
            );
        }
        $last = $doses[array_key_last($doses) ?? -1]['value'] ?? null;

        return $plot->chart($name, $this->sentence(new Phrase('trend.item_says', [
            'first' => [] === $doses ? '-' : round($doses[0]['value'], 2).$unit,
            'last' => null === $last ? '-' : round($last, 2).$unit,
            'steps' => max(0, \count($doses) - 1),
            'days' => \count($reached),
            'met' => \count(array_filter(
                $reached,
                static fn (StripDay $d): bool => $d->reached >= ($d->asked ?? 1),
            )),
        ])));
    }

    /**
     * Minutes that something was worn, under the time it was meant for.
     *
     * @param non-empty-list<WearPlan> $plans of one thing on one hand, in the order in which they began
     * @param list<Wear>               $wears of them, oldest first; what is on is left out
     */
    public function worn(array $plans, array $wears): Chart
    {
        $off = array_values(array_filter($wears, static fn (Wear $w): bool => null !== $w->offAt));
        $minutes = array_map(static fn (Wear $w): int => $w->minutes(), $off);
        $meant = [];
        foreach ($plans as $plan) {
            $time = $plan->wears()->minutes;
            if (null !== $time) { // a walk, or a night, is as long as it is
                $meant[] = ['at' => $plan->beganOn, 'value' => (float) $time];
            }
        }
        $top = max(1, ...$minutes, ...array_map(static fn (array $m): int => (int) $m['value'], $meant));
        $plot = $this->time->plot(0.0, 1.1 * $top)->up([0 => '0', $top => $top.' min'], '');
        $this->steps($plot, $meant);
        foreach ($off as $n => $wear) {
            $isClean = WearVerdict::Clean === $wear->verdict();
            $plot->dot(
                Timeline::at($wear->day),
                (float) $minutes[$n],
                $isClean ? 'active-dot' : 'symptom-dot',
                $isClean ? 3.0 : 4.5,
            );
        }
        [$first] = $plans;

        return $plot->chart(
            new Phrase('trend.worn', ['worn' => $first->worn->value, 'side' => $first->side->value]),
            $this->sentence(new Phrase('trend.worn_says', [
                'times' => \count($off),
                'most' => [] === $minutes ? 0 : max($minutes),
                'not' => \count(array_filter(
                    $off,
                    static fn (Wear $w): bool => WearVerdict::Clean !== $w->verdict(),
                )),
            ])),
        );
    }

    /** @param list<array{at: \DateTimeImmutable, value: float}> $doses oldest first */
    private function steps(Plot $plot, array $doses): void
    {
        $points = [];
        foreach ($doses as $n => ['at' => $at, 'value' => $value]) {
            $from = max(
                Timeline::at($at),
                Timeline::at($this->time->from),
            );
            $next = $doses[$n + 1]['at'] ?? $this->time->until;
            $until = max($from, Timeline::at($next));
            array_push(
                $points,
                [$from, $value],
                [$until, $value],
            );
        }
        $plot->line($points, 'dose-line');
    }

    /**
     * @param list<DayFigures>              $days
     * @param \Closure(DayFigures): float $of
     *
     * @return list<array{\DateTimeImmutable, float}>
     */
    private static function medians(array $days, \Closure $of): array
    {
        $points = [];
        foreach ($days as $n => $day) {
            $window = \array_slice(
                $days,
                max(0, $n - self::MEDIAN_OF + 1),
                min($n, self::MEDIAN_OF - 1),
            );
            $points[] = [
                $day->day,
                Statistics::median(array_map($of, [...$window, $day])),
            ];
        }

        return $points;
    }

    /** @return list<array{\DateTimeImmutable, \DateTimeImmutable}> of seven days each, the last ends today */
    private function weeks(): array
    {
        $weeks = [];
        for ($until = $this->time->until; $until > $this->time->from; $until = $until->modify('-7 days')) {
            $weeks[] = [$until->modify('-6 days'), $until];
        }

        return array_reverse($weeks);
    }

    private function sentence(Phrase $says): Phrase
    {
        return new Phrase('chart.sentence', [
            'says' => Joint::Semicolon->joining([
                $says,
                ...$this->time->words(),
            ]),
        ]);
    }
}
