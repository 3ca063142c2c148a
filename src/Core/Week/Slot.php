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

    public function holds(self $other): bool
    {
        return $this->from <= $other->from && $other->to <= $this->to;
    }

    public function label(): string
    {
        return \sprintf('%d:%02d', intdiv($this->from, 60), $this->from % 60);
    }
}
