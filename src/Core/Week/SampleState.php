<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** Whether the sample of a block is there. What comes later is no end of the block. */
enum SampleState: string
{
    case Kept = 'kept';
    case Ahead = 'ahead';
    case Due = 'due';
    case Late = 'late';

    /** @param list<\DateTimeImmutable> $taken */
    public static function of(
        \DateTimeImmutable $from,
        \DateTimeImmutable $to,
        array $taken,
        \DateTimeImmutable $today,
    ): self {
        $isTaken = [] !== array_filter(
            $taken,
            static fn (\DateTimeImmutable $day): bool => $day >= $from && $day <= $to,
        );

        return match (true) {
            $isTaken => self::Kept,
            $today < $from => self::Ahead,
            $today <= $to => self::Due,
            default => self::Late,
        };
    }
}
