<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/**
 * A time without a practice day. It runs from the last one to the day that is asked for; once a day back is logged, the
 * gap between the two stands.
 */
final readonly class Away
{
    /** @var list<\DateTimeImmutable> practice days, oldest first */
    private array $days;

    public function __construct(
        private ProgressSettings $settings,
        SittingLog $log,
        private int $daysPerWeek,
        private \DateTimeImmutable $today,
    ) {
        $this->days = array_map(
            static fn (PracticeDay $d): \DateTimeImmutable => $d->day,
            PracticeDay::in(array_values(array_filter(
                $log->lines,
                static fn (LogLine $l): bool => $l->day <= $today && $l->day >= $settings->logFrom($today),
            ))),
        );
    }

    /** Days since the last practice day; 0: there is none. */
    public function daysNow(): int
    {
        $last = $this->days[array_key_last($this->days) ?? -1] ?? null;

        return null === $last ? 0 : (int) $last->diff($this->today)->format('%r%a');
    }

    public function isAway(): bool
    {
        return $this->isGap($this->daysNow());
    }

    /** So long that it is measured and placed again. */
    public function isLong(): bool
    {
        return $this->daysNow() >= ($this->isSeldom()
            ? 2 * $this->settings->longBreakDays
            : $this->settings->longBreakDays);
    }

    /** Back for fewer practice days than nothing grows for. */
    public function isJustBack(): bool
    {
        $since = 0;
        for ($i = \count($this->days) - 1; $i > 0 && $since < $this->settings->backDays; --$i) {
            ++$since;
            if ($this->isGap((int) $this->days[$i - 1]->diff($this->days[$i])->format('%a'))) {
                return $since < $this->settings->backDays;
            }
        }

        return false;
    }

    /** Came back from another time away not long ago. */
    public function hasBeenAway(int $withinDays): bool
    {
        $since = $this->today->modify('-'.$withinDays.' days');
        for ($i = 1; $i < \count($this->days); ++$i) {
            $gap = (int) $this->days[$i - 1]->diff($this->days[$i])->format('%a');
            if ($this->days[$i] >= $since && $this->isGap($gap)) {
                return true;
            }
        }

        return false;
    }

    /** Days on which at least as many sittings were planned as have to be missed. */
    private function isGap(int $days): bool
    {
        $missed = ($days - 1) * $this->daysPerWeek / 7.0;

        return $days >= ($this->isSeldom() ? 3 * $this->settings->breakDays : $this->settings->breakDays)
            && $missed >= $this->settings->missedSittings;
    }

    /** Planned on one or two days a week only. */
    private function isSeldom(): bool
    {
        return $this->daysPerWeek <= 2;
    }
}
