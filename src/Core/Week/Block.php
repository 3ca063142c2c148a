<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** So many days of one plan, with a sample before and after: the same thing done, so that the two can be compared. */
final readonly class Block
{
    public const USUAL_DAYS = 14;
    private const LEAST_DAYS = 7;
    private const MOST_DAYS = 42;
    /** Days around a sample's own in which it still counts. */
    public const LATE_AFTER = 3;
    /** So many days before the end the sample after it may be taken. */
    private const REVIEW_DAYS = 4;

    /** @throws InvalidWeek */
    public function __construct(
        public \DateTimeImmutable $begins,
        public int $days = self::USUAL_DAYS,
    ) {
        if ($days < self::LEAST_DAYS || $days > self::MOST_DAYS) {
            throw InvalidWeek::because(
                'block_days',
                [
                    'days' => $days,
                    'least' => self::LEAST_DAYS,
                    'most' => self::MOST_DAYS,
                ],
            );
        }
    }

    public function ends(): \DateTimeImmutable
    {
        return $this->begins->modify('+'.($this->days - 1).' days');
    }

    public function covers(\DateTimeImmutable $day): bool
    {
        return $day >= $this->begins && $day <= $this->ends();
    }

    /** Counted from 1; before it 0 or less. */
    public function dayOf(\DateTimeImmutable $day): int
    {
        return (int) $this->begins->diff($day)->format('%r%a') + 1;
    }

    /** @param list<\DateTimeImmutable> $taken days on which the agreed sample was taken */
    public function before(array $taken, \DateTimeImmutable $today): SampleState
    {
        return SampleState::of(
            $this->begins->modify('-'.self::LATE_AFTER.' days'),
            $this->begins->modify('+'.self::LATE_AFTER.' days'),
            $taken,
            $today,
        );
    }

    /** @param list<\DateTimeImmutable> $taken days on which the agreed sample was taken */
    public function after(array $taken, \DateTimeImmutable $today): SampleState
    {
        return SampleState::of(
            $this->ends()->modify('-'.(self::REVIEW_DAYS - 1).' days'),
            $this->ends()->modify('+'.self::LATE_AFTER.' days'),
            $taken,
            $today,
        );
    }
}
