<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use HandGarden\Core\Words\Phrase;
use HandGarden\Sitting\AlertTimes;

/** What a list says about one client, as of one of their days. */
final readonly class Summary
{
    /** Kinds of alerts lie further apart than any two limits, in minutes. */
    private const FAR = 40_000_000;
    private const A_KIND = 100_000_000;

    /**
     * @param \DateTimeImmutable  $day          the client's own calendar day
     * @param ?\DateTimeImmutable $lastPractice day on which something was done
     * @param int                 $daysDone     with practice among the last seven, today included
     * @param array<string, int>  $waiting      proposals by Group
     * @param int                 $suspended    items that rest after a symptom
     * @param ?\DateTimeImmutable $measuredOn   newest day with a measure that stands
     * @param list<AlertTimes>    $alerts       not answered yet
     * @param bool                $looksAgain   the day has come on which an answered alert is to be looked at again
     * @param bool                $visitsToday  a visit is agreed for the day
     * @param list<Phrase>        $due          beside measuring and screening, most pressing first
     * @param int                 $unasked      screening questions without an answer that still counts
     * @param int                 $messages     from home that nobody has answered
     * @param int                 $helpers      who help and have to be talked with
     * @param int                 $countsDays   for which a measure counts
     * @param float               $seldomShare  who did less of a planned week is talked with
     */
    public function __construct(
        public \DateTimeImmutable $day,
        public ?\DateTimeImmutable $lastPractice,
        public int $daysDone,
        public int $daysPlanned,
        public array $waiting,
        public int $suspended,
        public ?\DateTimeImmutable $measuredOn,
        public int $unasked,
        public bool $hasRoutine,
        public array $alerts = [],
        public bool $looksAgain = false,
        public bool $visitsToday = false,
        public array $due = [],
        public int $countsDays = 28,
        public float $seldomShare = 0.4,
        public int $messages = 0,
        public int $helpers = 0,
    ) {
    }

    public function group(): Group
    {
        return match (true) {
            [] !== $this->alerts => Group::Alerts,
            $this->suspended > 0 || $this->looksAgain => Group::Held,
            isset($this->waiting[Group::Review->value]) => Group::Review,
            $this->visitsToday => Group::Visit,
            $this->wantsMeasuring() || $this->unasked > 0 || !$this->hasRoutine || [] !== $this->due => Group::Due,
            isset($this->waiting[Group::Steps->value]) => Group::Steps,
            $this->isSeldom() || $this->messages + $this->helpers > 0 => Group::Talk,
            default => Group::Quiet,
        };
    }

    public function waitingInAll(): int
    {
        return array_sum($this->waiting);
    }

    /** The most pressing alert, then the one with the least time left; null: none waits. */
    public function first(): ?AlertTimes
    {
        $alerts = $this->alerts;
        usort($alerts, static fn (AlertTimes $a, AlertTimes $b): int => [
            $b->kind->weight(),
            $a->limit,
        ] <=> [
            $a->kind->weight(),
            $b->limit,
        ]);

        return $alerts[0] ?? null;
    }

    /** From when on the leads have it too. */
    public function leadFrom(): ?\DateTimeImmutable
    {
        $limits = array_map(
            static fn (AlertTimes $a): \DateTimeImmutable => $a->limit,
            $this->alerts,
        );

        return [] === $limits ? null : min($limits);
    }

    /**
     * Within a group: of alerts the kind, then the least time left; else what is held before what waits, what waits
     * before what is due.
     */
    public function urgency(): int
    {
        $first = $this->first();
        if (null !== $first) {
            $minutesLeft = intdiv(
                $first->limit->getTimestamp() - $this->day->getTimestamp(),
                60,
            );

            return self::A_KIND * $first->kind->weight() - max(
                -self::FAR,
                min(self::FAR, $minutesLeft),
            );
        }

        return 100 * $this->suspended + 2 * $this->waitingInAll() + ($this->isDue() ? 1 : 0);
    }

    public function wantsMeasuring(): bool
    {
        return null === $this->measuredOn || $this->measuredDaysAgo() > $this->countsDays;
    }

    /** Null when there are no measures. */
    public function measuredDaysAgo(): ?int
    {
        return null === $this->measuredOn ? null : (int) $this->measuredOn->diff($this->day)->format('%r%a');
    }

    /** A sitting is due today: none yet, or fewer than planned and none today. */
    public function isDue(): bool
    {
        return null === $this->lastPractice
            || ($this->lastPractice < $this->day && $this->daysDone < $this->daysPlanned);
    }

    private function isSeldom(): bool
    {
        return null !== $this->lastPractice && $this->daysDone < $this->seldomShare * $this->daysPlanned;
    }
}
