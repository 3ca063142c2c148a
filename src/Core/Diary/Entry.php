<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

/** One entry: how bad it was, and what went with it. */
final readonly class Entry
{
    public const MOST = 10;

    /**
     * @param \DateTimeImmutable   $day      of the client's own calendar
     * @param int                  $severity 0 to 10
     * @param array<string, float> $answers  by factor, in its unit; missing: not known
     * @param bool                 $isLate   written outside its moment, or on a later day: kept, and not compared
     */
    public function __construct(
        public \DateTimeImmutable $day,
        public Moment $moment,
        public int $severity,
        public array $answers = [],
        public bool $isLate = false,
    ) {
    }

    public function isCompared(): bool
    {
        return $this->moment->isFixed() && !$this->isLate;
    }

    public function dayKey(): string
    {
        return $this->day->format('Y-m-d');
    }
}
