<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** A stretch of one day, in minutes since its midnight in the client's zone. */
final readonly class Slot
{
    public function __construct(
        public int $from,
        public int $to,
    ) {
        if ($from < 0 || $to > 1440 || $from >= $to) {
            throw InvalidWeek::because('no_stretch', ['from' => $from, 'to' => $to]);
        }
    }

    public function overlaps(self $other): bool
    {
        return $this->from < $other->to && $other->from < $this->to;
    }

    /** Whether less than so many minutes lie between the two. */
    public function isNear(self $other, int $minutes): bool
    {
        return $this->from < $other->to + $minutes && $other->from < $this->to + $minutes;
    }

    public function holds(self $other): bool
    {
        return $this->from <= $other->from && $other->to <= $this->to;
    }

    public function label(): string
    {
        return \sprintf('%d:%02d', intdiv($this->from, 60), $this->from % 60);
    }
}
