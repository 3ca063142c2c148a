<?php

declare(strict_types=1);

namespace HandGarden\Sitting;

use HandGarden\Web\Clock;

/**
 * When an event was, by the clocks of device and server.
 *
 * A device says when the event was made and, where it can, what its clock shows as it sends. A clock that is more than
 * ten minutes off then is corrected by the difference. Without that word a time that lies ahead cannot be true, and the
 * time of receipt counts; one that lies behind may have waited without a network and is believed.
 *
 * An event's age is counted by a clock that nobody sets, so that it is told even where the other clock was set between
 * making and sending. That clock stands still while a device sleeps: an event is at least as old as its age, and may
 * be older.
 */
final readonly class EventTime
{
    private const TOLERANCE_SECONDS = 600;

    private function __construct(
        public \DateTimeImmutable $deviceAt,
        public ?int $offsetSeconds,
        public \DateTimeImmutable $at,
        public \DateTimeImmutable $day,
        public \DateTimeImmutable $receivedAt,
    ) {
    }

    /** @param string $zone of the client */
    public static function now(\DateTimeImmutable $now, string $zone): self
    {
        $at = self::inSeconds($now);

        return new self($at, null, $at, Clock::dayOf($at, $zone), receivedAt: $at);
    }

    /** @param string $zone of the client */
    public static function told(
        \DateTimeImmutable $deviceAt,
        ?\DateTimeImmutable $sentAt,
        \DateTimeImmutable $now,
        string $zone,
        ?int $ageSeconds = null,
    ): self {
        $offset = null === $sentAt ? null : $now->getTimestamp() - $sentAt->getTimestamp();
        $at = null !== $offset && abs($offset) > self::TOLERANCE_SECONDS
            ? $deviceAt->modify(\sprintf('%+d seconds', $offset))
            : $deviceAt;
        $latest = $now->getTimestamp() - ($ageSeconds ?? 0);
        if ($at->getTimestamp() > $latest + self::TOLERANCE_SECONDS) {
            $at = $now->setTimestamp($latest);
        }

        $at = self::inSeconds($at);

        return new self(
            self::inSeconds($deviceAt),
            $offset,
            $at,
            Clock::dayOf($at, $zone),
            receivedAt: self::inSeconds($now),
        );
    }

    /** As it is kept: what is finer would order events before they are kept and be gone afterwards. */
    private static function inSeconds(\DateTimeImmutable $at): \DateTimeImmutable
    {
        return $at->setTime(
            (int) $at->format('G'),
            (int) $at->format('i'),
            (int) $at->format('s'),
        );
    }
}
