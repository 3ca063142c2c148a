<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What a sitting may take. Minutes are the client's or the clinic's, items and effort the clinic's. */
final readonly class Limits
{
    public const BETWEEN_SECONDS = 15;
    public const POSTURE_CHANGE_SECONDS = 30;
    public const EFFORT_PER_MINUTE = 3;
    public const HOME_ITEMS = 8;
    private const LEAST_FRAME = 150;
    private const MOST_FRAME = 240;
    /** Up to here a sitting begins and ends in the shortest way. */
    public const SHORT_MINUTES = 8;

    public function __construct(
        public int $minutes,
        public ?float $effort = null,
        public int $homeItems = self::HOME_ITEMS,
        public ?\DateTimeImmutable $lastStrengthOn = null,
        /** Whether an item may be done more often than once: not in the first days of a client's first plan. */
        public bool $mayGrow = true,
    ) {
    }

    /** Seconds that what begins and ends a sitting may take: a fifth of its time, within these limits. */
    public function frameSeconds(): int
    {
        return max(self::LEAST_FRAME, min(self::MOST_FRAME, intdiv($this->seconds(), 5)));
    }

    public function seconds(): int
    {
        return 60 * $this->minutes;
    }

    /** Effort is minutes of an item times its intensity (1 to 5). */
    public function effortBudget(): float
    {
        return $this->effort ?? (float) (self::EFFORT_PER_MINUTE * $this->minutes);
    }

    public function withMinutes(int $minutes): self
    {
        return new self(
            $minutes,
            $this->effort,
            $this->homeItems,
            $this->lastStrengthOn,
            mayGrow: $this->mayGrow,
        );
    }
}
