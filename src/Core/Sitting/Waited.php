<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

/** How long an alert has waited, by its limit. */
enum Waited: string
{
    case Fresh = 'fresh';
    case HalfOver = 'half';
    /** The leads have it too. */
    case Over = 'over';
    /** Twice the limit. */
    case FarOver = 'far-over';

    public static function of(
        \DateTimeImmutable $half,
        \DateTimeImmutable $limit,
        \DateTimeImmutable $twice,
        \DateTimeImmutable $now,
    ): self {
        return match (true) {
            $now >= $twice => self::FarOver,
            $now >= $limit => self::Over,
            $now >= $half => self::HalfOver,
            default => self::Fresh,
        };
    }
}
