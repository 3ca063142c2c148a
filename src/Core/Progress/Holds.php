<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Measure\Statistics;
use HandGarden\Core\Words\Phrase;

/**
 * What forbids more for now, of the whole client or of one part: a symptom that is fresh, pain that stays or is not
 * told, pain that creeps, coming back after a time away. It forbids only; it never makes anything harder.
 */
final class Holds
{
    /** Weeks in which pain may rise each time before somebody looks. */
    private const RISING_WEEKS = 3;

    /** @var list<Held> */
    private array $held = [];

    /** @var list<LogLine> */
    private readonly array $lines;

    private readonly \DateTimeImmutable $today;

    /** @var list<array{ArmPart, Side, list<LogLine>}> every part of each side with what works it */
    private readonly array $parts;

    /** @var array<string, list<ArmPart>> that each rung of the log works */
    private array $works = [];

    public function __construct(
        Catalogue $catalogue,
        private readonly ProgressSettings $settings,
        SittingLog $log,
        private readonly Situation $now,
    ) {
        $this->today = $now->today;
        $this->lines = SittingLog::since(
            $log->lines,
            $settings->logFrom($this->today),
        );
        foreach ($this->lines as $line) {
            if ($catalogue->hasRung($line->rungId)) {
                $this->works[$line->rungId] ??= WorkedParts::of(
                    $catalogue->rung($line->rungId),
                );
            }
        }
        $away = new Away(
            $settings,
            $log,
            $now->daysPerWeek,
            $this->today,
        );
        if ($away->isAway() || $away->isJustBack()) {
            $this->held[] = new Held(
                null,
                null,
                new Phrase('held.just_back'),
            );
        }
        $this->parts = $this->parts();
        foreach ($this->parts as [$part, $side, $lines]) {
            $why = [] === $lines ? null : $this->why(
                $lines,
                $now->usual->at($part, $side),
            );
            if (null !== $why) {
                $this->held[] = new Held(
                    $part,
                    $side,
                    $why,
                );
            }
        }
    }

    /**
     * Pain that nobody has answered yet holds the parts of its item, however many days ago it was.
     *
     * @param list<array{Prescribed, Proposal}> $ofItems
     * @param list<string>                      $answered keys of proposals
     */
    public function whileOpen(array $ofItems, array $answered): void
    {
        foreach ($ofItems as [$item, $proposal]) {
            if (!$proposal->isOfASymptom() || \in_array(
                $proposal->key(),
                $answered,
                true,
            )) {
                continue;
            }
            foreach ($item->hands->each() as $side) {
                foreach (WorkedParts::of($item->rung) as $part) {
                    $this->held[] = new Held(
                        $part,
                        $side,
                        new Phrase('held.unanswered'),
                    );
                }
            }
        }
    }

    public function on(Prescribed $item): ?Held
    {
        foreach ($this->held as $held) {
            if ($held->concerns($item)) {
                return $held;
            }
        }

        return null;
    }

    /**
     * Parts whose pain creeps up: each asks for one look.
     *
     * @return list<array{ArmPart, Side, list<LogLine>}>
     */
    public function creeping(): array
    {
        return array_values(array_filter(
            $this->parts,
            fn (array $of): bool => $this->creeps(
                PracticeDay::in($of[2]),
            ),
        ));
    }

    /**
     * Parts in which two exercises or more hurt on the last days: it is the part, and not the exercise.
     *
     * @return list<array{ArmPart, Side, list<LogLine>}> with the lines that tell of it
     */
    public function hurting(): array
    {
        $found = [];
        foreach ($this->parts as [$part, $side, $lines]) {
            $days = \array_slice(
                PracticeDay::in($lines),
                -$this->settings->quietDays,
            );
            $symptoms = new Symptoms(
                $this->settings,
                $this->now->usual->at($part, $side),
            );
            $hurt = array_values(
                array_filter(PracticeDay::linesOf($days), $symptoms->any(...)),
            );
            $items = array_unique(
                array_map(static fn (LogLine $l): string => $l->itemKey(), $hurt),
            );
            if (\count($items) > 1) {
                $found[] = [$part, $side, $hurt];
            }
        }

        return $found;
    }

    /**
     * Parts that hurt more than may be asked for on every day of the window: is that usual?
     *
     * @return list<array{ArmPart, Side, list<LogLine>}> with the lines of the window
     */
    public function always(): array
    {
        $from = $this->settings->windowFrom($this->today);

        return array_values(array_filter(
            array_map(
                static fn (array $of): array => [
                    $of[0],
                    $of[1],
                    SittingLog::since($of[2], $from),
                ],
                $this->parts,
            ),
            fn (array $of): bool => $this->hurtsAlways(...$of),
        ));
    }

    /** @param list<LogLine> $lines of the window */
    private function hurtsAlways(ArmPart $part, Side $side, array $lines): bool
    {
        $days = PracticeDay::in($lines);
        $most = max(
            $this->settings->usualPain,
            $this->now->usual->at($part, $side),
        );
        $over = array_filter(
            $days,
            static fn (PracticeDay $d): bool => ($d->pain() ?? 0) > $most,
        );

        return isset($days[$this->settings->leastSittings])
            && $days[0]->day <= $this->settings->windowFrom($this->today)->modify('+2 days')
            && \count($over) === \count($days);
    }

    /** @return list<array{ArmPart, Side, list<LogLine>}> every part of each side with what works it */
    private function parts(): array
    {
        $parts = [];
        foreach (Side::cases() as $side) {
            foreach (ArmPart::cases() as $part) {
                $parts[] = [
                    $part,
                    $side,
                    $this->linesOf($part, $side),
                ];
            }
        }

        return $parts;
    }

    /**
     * @param non-empty-list<LogLine> $lines of items that work the part
     * @param int                     $usual pain that is there anyway
     */
    private function why(array $lines, int $usual): ?Phrase
    {
        $days = PracticeDay::in($lines);
        if ($this->isFresh($days, $usual)) {
            return new Phrase(
                'held.symptom',
                ['days' => $this->settings->quietDays],
            );
        }
        $last = \array_slice($days, -$this->settings->toldDays);
        $told = array_values(array_filter(
            $last,
            static fn (PracticeDay $d): bool => null !== $d->pain(),
        ));
        if (\count($last) >= $this->settings->toldDays && [] === $told) {
            return new Phrase(
                'held.not_told',
                ['days' => $this->settings->toldDays],
            );
        }
        $newest = $told[array_key_last($told) ?? -1] ?? null;
        $most = max($this->settings->usualPain, $usual);
        if (null !== $newest && $newest->pain() > $most) {
            return new Phrase(
                'held.pain_stays',
                ['pain' => $newest->pain(), 'most' => $most],
            );
        }

        return $this->creeps($days) ? new Phrase('held.creeping') : null;
    }

    /**
     * A symptom after which the part was not worked on enough days yet.
     *
     * @param list<PracticeDay> $days
     */
    private function isFresh(array $days, int $usual): bool
    {
        $symptoms = new Symptoms($this->settings, $usual);
        foreach (\array_slice($days, -$this->settings->quietDays) as $day) {
            foreach ($day->lines as $line) {
                if ($symptoms->eases($line) || $symptoms->suspends($line)) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * The middle pain of the last days is higher than that of the days before, or has risen week by week.
     *
     * @param list<PracticeDay> $days
     */
    private function creeps(array $days): bool
    {
        $told = array_values(array_filter(
            $days,
            static fn (PracticeDay $d): bool => null !== $d->pain(),
        ));
        $newest = [] === $days ? null : $days[array_key_last($days)]->day;
        if (null === $newest || $newest < $this->settings->windowFrom($this->today)) {
            return false;
        }
        $many = $this->settings->creepDays;
        $before = self::middle(
            \array_slice($told, -2 * $many, $many),
        );
        $last = self::middle(\array_slice($told, -$many));
        $isHigher = \count($told) >= 2 * $many && null !== $last && null !== $before
            && $last - $before >= $this->settings->creepBy;

        return $isHigher || $this->risesByWeek($told);
    }

    /**
     * Higher in each of the last three weeks than in the week before it, and by enough in all.
     *
     * @param list<PracticeDay> $told
     */
    private function risesByWeek(array $told): bool
    {
        $weeks = [];
        for ($ago = self::RISING_WEEKS; $ago >= 0; --$ago) {
            $until = $this->today->modify('-'.(7 * $ago).' days');
            $from = $until->modify('-6 days');
            $middle = self::middle(array_values(array_filter(
                $told,
                static fn (PracticeDay $d): bool => $d->day >= $from && $d->day <= $until,
            )));
            if (null === $middle || ([] !== $weeks && $middle <= $weeks[\count($weeks) - 1])) {
                return false;
            }
            $weeks[] = $middle;
        }

        return $weeks[self::RISING_WEEKS] - $weeks[0] >= $this->settings->creepBy;
    }

    /** @param list<PracticeDay> $told */
    private static function middle(array $told): ?float
    {
        return [] === $told ? null : Statistics::median(array_map(
            static fn (PracticeDay $d): float => (float) $d->pain(),
            $told,
        ));
    }

    /** @return list<LogLine> */
    private function linesOf(ArmPart $part, Side $side): array
    {
        return array_values(array_filter(
            $this->lines,
            fn (LogLine $l): bool => $l->hands->covers($side)
                && \in_array(
                    $part,
                    $this->works[$l->rungId] ?? [],
                    true,
                ),
        ));
    }
}
