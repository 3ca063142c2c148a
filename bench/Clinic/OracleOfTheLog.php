<?php

declare(strict_types=1);

namespace HandGarden\Bench\Clinic;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\EffortClass;
use HandGarden\Core\Catalogue\Purpose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Catalogue\WorkKind;
use HandGarden\Core\Condition\Truth;

/** What the log speaks against: nothing may grow against it, and what hurt is given easier the next time. */
final class OracleOfTheLog
{
    private const WINDOW = 14;

    /** @var list<Violation> */
    private array $found = [];

    /** @var array<string, Line> by id, once each */
    private array $byId = [];

    /** @var array<int, true> days on which the therapist was there */
    private array $visits = [];

    /** @param list<Day> $trace */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly MadeUpClient $client,
        private readonly array $trace,
    ) {
        foreach ($trace as $day) {
            foreach ($day->lines as $line) {
                $this->byId[$line->id] ??= $line;
            }
            $this->visits += $day->isVisit ? [$day->number => true] : [];
        }
    }

    /** @return list<Violation> */
    public function judge(): array
    {
        foreach ($this->trace as $day) {
            foreach ($day->growth as $key) {
                $this->growth($key, $day);
            }
            foreach ($day->sittings as $sitting) {
                $this->tired($sitting, $day);
                foreach ($sitting as $given) {
                    $this->easier($given, $day);
                }
            }
            $this->pace($day);
        }
        $this->seldom();

        return $this->found;
    }

    private function say(string $rule, Day $day, string $what): void
    {
        $this->found[] = new Violation($rule, $day->number, $what);
    }

    private function growth(string $key, Day $day): void
    {
        $rung = $this->rung($key);
        $own = $this->known($day->number, static fn (Line $l): bool => $l->key === $key);
        $part = $this->known(
            $day->number,
            fn (Line $l): bool => $this->sharesPart($l->key, $rung, $key),
        );
        $usual = $this->client->notedPain();
        $days = self::byDay($own);
        $this->evidence($key, $day);
        $told = array_values(array_filter(
            $part,
            static fn (Line $l): bool => null !== $l->pain(),
        ));
        $newest = [] === $told ? null : max(array_map(
            static fn (Line $l): int => $l->day,
            $told,
        ));
        foreach ($told as $line) {
            if ($line->day === $newest && $line->pain() > max(3, $usual)) {
                $this->say('S13', $day, $key);
            }
        }
        foreach (\array_slice(self::byDay($part), -2) as $lines) {
            foreach ($lines as $line) {
                if ($line->isSymptom($usual)) {
                    $this->say($line->arrives > $line->day ? 'S15' : 'S12', $day, $key);
                }
            }
        }
        $pains = [];
        foreach (self::byDay($told) as $lines) {
            $pains[] = max(array_map(static fn (Line $l): int => $l->pain() ?? 0, $lines));
        }
        if (
            \count($pains) >= 10
            && self::median(\array_slice($pains, -5)) - self::median(
                \array_slice($pains, -10, 5),
            ) >= 2
        ) {
            $this->say('S14', $day, $key);
        }
        $tricks = array_map(
            static fn (array $lines): bool => [] !== array_filter(
                $lines,
                static fn (Line $l): bool => $l->hasTrick,
            ),
            $days,
        );
        if (\in_array(true, \array_slice($tricks, -2), true)) {
            $this->say('S16', $day, $key);
        }
        $tight = array_map(
            static fn (array $lines): bool => [] !== array_filter(
                $lines,
                static fn (Line $l): bool => $l->isTighter,
            ),
            $days,
        );
        if (2 === \count(array_filter(\array_slice($tight, -2)))) {
            $this->say('S18', $day, $key);
        }
        $recent = array_filter(
            $own,
            static fn (Line $l): bool => $l->day >= $day->number - 42,
        );
        if ([] === array_filter($recent, static fn (Line $l): bool => null !== $l->help)) {
            $this->say('S17', $day, $key);
        }
        $this->back($day, $key);
        $this->fallen($day, $key);
    }

    private function evidence(string $key, Day $day): void
    {
        $ids = $day->evidence[$key] ?? [];
        $isDoubled = [] !== array_filter(
            $ids,
            static fn (string $id): bool => str_ends_with($id, ' again'),
        );
        if ($isDoubled || \count($ids) !== \count(array_unique($ids))) {
            $this->say('S24', $day, $key.' rests on a line that came twice');
        }
        $next = $day->next[$key] ?? null;
        if (null === $next) {
            return;
        }
        $entry = $this->rung($next)->fit->entry;
        if (Truth::False === $entry->judge(
            new Truths($this->client),
            $this->client->side,
        )->truth) {
            $this->say('S9', $day, $next.' would not stand');
        }
    }

    /** After a time away nothing grows for three practice days. */
    private function back(Day $day, string $key): void
    {
        $practised = array_keys(self::byDay($this->known(
            $day->number,
            static fn (): bool => true,
        )));
        $last = \array_slice($practised, -4);
        $seldom = $this->client->daysPerWeek <= 2;
        for ($i = 1; $i < \count($last); ++$i) {
            $gap = $last[$i] - $last[$i - 1];
            $missed = ($gap - 1) * $this->client->daysPerWeek / 7.0;
            if ($gap >= ($seldom ? 21 : 7) && $missed >= 3.0 && \count($last) - $i < 3) {
                $this->say('S19', $day, $key);
            }
        }
    }

    /** Three items far under their own middle, two days running: nothing grows until somebody has looked. */
    private function fallen(Day $day, string $key): void
    {
        $items = [];
        $lines = $this->known(
            $day->number,
            static fn (Line $l): bool => $l->day >= $day->number - self::WINDOW && $l->day < $day->number,
        );
        foreach ($lines as $line) {
            $items[$line->key][$line->day] = min(
                $items[$line->key][$line->day] ?? 99.0,
                self::work($line),
            );
        }
        $firstLow = [];
        foreach ($items as $work) {
            $before = \array_slice($work, 0, -2, true);
            $last = \array_slice($work, -2, null, true);
            if (\count($before) >= 3 && 2 === \count($last) && max($last) < 0.69 * self::median($before)) {
                $firstLow[] = min(array_keys($last));
            }
        }
        if (\count($firstLow) >= 3 && !$this->isSeenBetween(min($firstLow), $day->number - 1)) {
            $this->say('S27', $day, $key);
        }
    }

    private static function work(Line $line): float
    {
        return $line->reached * $line->dose->repetitions * ($line->dose->moveSeconds + $line->dose->holdSeconds);
    }

    /** What hurt, failed twice or tightened is given easier than it was, until somebody has looked. */
    private function easier(Given $given, Day $day): void
    {
        $usual = $this->client->notedPain();
        $own = $this->known(
            $day->number,
            static fn (Line $l): bool => $l->key === $given->key(),
        );
        $isCalm = EffortClass::Calm === $given->rung->load->class; // asks nothing of the hand
        foreach ($isCalm ? [] : $own as $line) {
            $isOpen = !$this->isSeenBetween($line->arrives, $day->number) && $line->day < $day->number;
            if (
                $isOpen
                && $line->isSymptom($usual)
                && !self::isEasier($given->rung, $given->dose, $line->dose)
            ) {
                $this->say(
                    $line->arrives > $line->day ? 'S15' : 'S12',
                    $day,
                    $given->key(),
                );
            }
        }
        $last = \array_slice(self::byDay(array_values(array_filter(
            $own,
            static fn (Line $l): bool => $l->day < $day->number,
        ))), -2, null, true);
        if (2 !== \count($last) || $this->isSeenBetween(
            min(array_keys($last)),
            $day->number,
        )) {
            return;
        }
        $lines = array_merge(...array_values($last));
        $isSame = [] === array_filter(
            $lines,
            static fn (Line $l): bool => !self::isAlike($l->dose, $given->dose),
        );
        $failed = array_filter($last, static fn (array $of): bool => min(array_map(
            static fn (Line $l): float => $l->reached,
            $of,
        )) < 0.6);
        $isAtLeast = $given->dose->repetitions <= $given->rung->dosing->range->repetitions[0]
            && $given->dose->holdSeconds <= $given->rung->dosing->range->holdSeconds[0];
        if ($isSame && 2 === \count($failed) && !$isAtLeast && $this->mayShrink($given)) {
            $this->say('S26', $day, $given->key());
        }
        $tighter = array_filter($last, static fn (array $of): bool => [] !== array_filter(
            $of,
            static fn (Line $l): bool => $l->isTighter,
        ));
        $isGrip = Purpose::Grip === $given->rung->demands->purpose;
        if ($isGrip && $isSame && 2 === \count($tighter) && !$isAtLeast && $this->mayShrink($given)) {
            $this->say('S18', $day, $given->key());
        }
    }

    /** The least number of repetitions is half of what an exercise starts with, where its range goes lower. */
    private function mayShrink(Given $given): bool
    {
        $dosing = $given->rung->dosing;
        $least = max(
            $dosing->range->repetitions[0],
            intdiv($dosing->start->repetitions + 1, 2),
        );

        return $given->dose->repetitions > $least || $given->dose->holdSeconds > max(
            1,
            $dosing->range->holdSeconds[0],
        );
    }

    private static function isAlike(Dose $a, Dose $b): bool
    {
        return $a->repetitions === $b->repetitions
            && $a->holdSeconds === $b->holdSeconds
            && $a->passes === $b->passes
            && abs($a->loadKilograms - $b->loadKilograms) < 1e-9
            && Level::areAlike($a, $b);
    }

    private static function isEasier(Rung $rung, Dose $now, Dose $then): bool
    {
        return !self::isAlike($now, $then)
            && !Level::isHarder($rung, $now, $then)
            && $now->repetitions <= $then->repetitions
            && $now->holdSeconds <= $then->holdSeconds
            && $now->loadKilograms <= $then->loadKilograms + 1e-9
            || $now->sets < $then->sets && $now->holdSeconds <= $then->holdSeconds;
    }

    private function isSeenBetween(int $from, int $to): bool
    {
        foreach (array_keys($this->visits) as $visit) {
            if ($visit >= $from && $visit <= $to) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Given> $sitting */
    private function tired(array $sitting, Day $day): void
    {
        $known = $this->known(
            $day->number,
            static fn (Line $l): bool => $l->day < $day->number,
        );
        $last = \array_slice(self::byDay($known), -2, null, true);
        if (2 !== \count($last) || $this->isSeenBetween(
            min(array_keys($last)),
            $day->number,
        )) {
            return;
        }
        $hard = array_filter($last, static fn (array $of): bool => [] !== array_filter(
            $of,
            static fn (Line $l): bool => ($l->fatigue ?? 0) >= 8,
        ));
        $seconds = array_sum(array_map(static fn (Given $g): int => $g->seconds, $sitting));
        if (2 === \count($hard) && $seconds > 0.8 * 60 * $this->client->minutes) {
            $this->say('S20', $day, 'as long as before');
        }
    }

    private function pace(Day $day): void
    {
        $steps = [];
        foreach ($this->trace as $other) {
            if ($other->number > $day->number - 7 && $other->number <= $day->number) {
                array_push($steps, ...$other->accepted);
            }
        }
        $ofItems = array_count_values($steps);
        if (\count($steps) > 6 || ([] !== $ofItems && max($ofItems) > 2)) {
            $this->say('S21', $day, implode(' ', $steps));
        }
    }

    /** Done seldom over two whole weeks: somebody was asked about a smaller plan. */
    private function seldom(): void
    {
        foreach ($this->trace as $day) {
            $before = array_filter(
                $this->trace,
                static fn (Day $d): bool => $d->number < $day->number && $d->number >= $day->number - self::WINDOW,
            );
            $planned = \count(array_filter(
                $before,
                static fn (Day $d): bool => $d->isPlanned,
            ));
            $done = \count(array_filter(
                $before,
                static fn (Day $d): bool => [] !== $d->sittings,
            ));
            $asked = array_filter($this->trace, static fn (Day $d): bool => $d->number <= $day->number
                && $d->number >= $day->number - 30
                && [] !== preg_grep('/^review\.seldom/', $d->cards));
            $isWhole = [] !== $this->trace[max(0, $day->number - self::WINDOW)]->sittings;
            if ($isWhole && $planned >= 6 && $done < 0.5 * $planned && [] === $asked) {
                $this->say('S22', $day, $done.' of '.$planned);
            }
        }
    }

    private function rung(string $key): Rung
    {
        return $this->catalogue->rung(explode('|', $key)[0]);
    }

    private function sharesPart(string $key, Rung $rung, string $with): bool
    {
        $mine = $this->rung($key)->demands->works->parts(...WorkKind::cases());
        $other = $rung->demands->works->parts(...WorkKind::cases());
        $hands = [explode('|', $key)[1], explode('|', $with)[1]];
        $isOneHand = $hands[0] === $hands[1] || [] !== array_intersect(['each', 'together'], $hands);

        return $isOneHand && [] !== array_uintersect(
            $mine,
            $other,
            static fn ($a, $b): int => $a->value <=> $b->value,
        );
    }

    /**
     * @param \Closure(Line): bool $is
     *
     * @return list<Line> that had reached the clinic before the day, oldest first
     */
    private function known(int $day, \Closure $is): array
    {
        $known = array_values(array_filter(
            $this->byId,
            static fn (Line $l): bool => $l->arrives <= $day && $l->day < $day && $is($l),
        ));
        usort($known, static fn (Line $a, Line $b): int => $a->day <=> $b->day);

        return $known;
    }

    /**
     * @param list<Line> $lines
     *
     * @return array<int, non-empty-list<Line>>
     */
    private static function byDay(array $lines): array
    {
        $days = [];
        foreach ($lines as $line) {
            $days[$line->day][] = $line;
        }
        ksort($days);

        return $days;
    }

    /** @param array<int|float> $values */
    private static function median(array $values): float
    {
        sort($values);
        $n = \count($values);

        return 0 === $n ? 0.0 : 0.5 * ($values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]);
    }
}
