<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

/** What a list says about one client, as of one of their days. */
final readonly class Summary
{
    /**
     * @param \DateTimeImmutable  $day          the client's own calendar day
     * @param ?\DateTimeImmutable $lastPractice day on which something was done
     * @param int                 $daysDone     with practice among the last seven, today included
     * @param array<string, int>  $waiting      proposals by Group
     * @param int                 $suspended    items that rest after a symptom
     * @param ?\DateTimeImmutable $measuredOn   newest day with a measure that stands
     * @param int                 $alerts       not answered yet
     * @param int                 $unasked      screening questions without an answer that still counts
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
        public int $alerts = 0,
        public int $countsDays = 28,
        public float $seldomShare = 0.4,
    ) {
    }

    public function group(): Group
    {
        return match (true) {
            $this->suspended > 0 || $this->alerts > 0 => Group::Held,
            isset($this->waiting[Group::Review->value]) => Group::Review,
            $this->wantsMeasuring() || $this->unasked > 0 || !$this->hasRoutine => Group::Due,
            isset($this->waiting[Group::Steps->value]) => Group::Steps,
            $this->isSeldom() => Group::Talk,
            default => Group::Quiet,
        };
    }

    public function waitingInAll(): int
    {
        return array_sum($this->waiting);
    }

    /** Within a group: what is held before what waits, what waits before what is due. */
    public function urgency(): int
    {
        return 1000 * $this->alerts + 100 * $this->suspended + 2 * $this->waitingInAll() + ($this->isDue() ? 1 : 0);
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
