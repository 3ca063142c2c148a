<?php

declare(strict_types=1);

namespace HandGarden\Web;

use Psr\Clock\ClockInterface;

/** The one place where the time is read; the core is told. */
final readonly class Clock
{
    public function __construct(
        private ClockInterface $clock,
    ) {
    }

    public function now(): \DateTimeImmutable
    {
        return \DateTimeImmutable::createFromInterface($this->clock->now())->setTimezone(
            new \DateTimeZone('UTC'),
        );
    }

    /** Calendar day in a zone, as midnight UTC, so that days compare. */
    public function today(string $zone): \DateTimeImmutable
    {
        return self::dayOf($this->now(), $zone);
    }

    public static function dayOf(\DateTimeImmutable $instant, string $zone): \DateTimeImmutable
    {
        return new \DateTimeImmutable(
            $instant->setTimezone(new \DateTimeZone($zone))->format('Y-m-d'),
            new \DateTimeZone('UTC'),
        );
    }
}
