<?php

declare(strict_types=1);

namespace HandGarden\Account;

use HandGarden\Core\Sitting\Within;

/** When somebody answers at a clinic: hours of each weekday, and the days on which it is closed. */
final readonly class OpeningHours
{
    public const WEEKDAYS = [
        1 => 'Mon',
        'Tue',
        'Wed',
        'Thu',
        'Fri',
        'Sat',
        'Sun',
    ];
    private const TIME = '/^([01]\d|2[0-3]):[0-5]\d$/D';
    /** Closed days are told so many days ahead. */
    private const AHEAD_DAYS = 14;
    /** A clinic that is closed for longer is taken as open, so that no limit lies nowhere. */
    private const MOST_DAYS_SHUT = 60;

    /**
     * @param array<int, array{string, string}> $hours    from and to, as 08:00, by weekday from 1 (Monday)
     * @param list<string>                      $holidays days as 2026-12-24
     */
    public function __construct(
        public array $hours,
        public array $holidays,
        private string $zone,
    ) {
    }

    public static function isTime(string $typed): bool
    {
        return 1 === preg_match(self::TIME, $typed);
    }

    public function isOpen(\DateTimeImmutable $at): bool
    {
        $here = $at->setTimezone(
            new \DateTimeZone($this->zone),
        );
        [$from, $to] = $this->hours[(int) $here->format('N')] ?? [
            '',
            '',
        ];
        $time = $here->format('H:i');

        return '' !== $from
            && $time >= $from
            && $time < $to
            && !\in_array(
                $here->format('Y-m-d'),
                $this->holidays,
                true,
            );
    }

    /**
     * When a limit is over that began to run at an instant. Where no hours are set, every hour counts: too early is
     * the safer side.
     */
    public function end(Within $limit, \DateTimeImmutable $from): \DateTimeImmutable
    {
        if ($limit->hours > 0) {
            return $this->later($from, 3600 * $limit->hours);
        }
        $start = $this->later($from, 0);
        $day = $start;
        for ($left = $limit->days; $left > 0; --$left) {
            $day = $this->spanOn(self::midnightAfter($day))[0];
        }
        [$opens, $closes] = $this->spanOn($day);
        $sameTime = $opens->setTime(
            (int) $start->format('G'),
            (int) $start->format('i'),
        );

        return $limit->untilClosing ? $closes : min(
            $closes,
            max($opens, $sameTime),
        );
    }

    /** The instant by which so many seconds were worked from another on. */
    public function later(\DateTimeImmutable $from, int $seconds): \DateTimeImmutable
    {
        $at = $from->setTimezone(
            new \DateTimeZone($this->zone),
        );
        while (true) {
            [$opens, $closes] = $this->spanOn($at);
            $at = max($at, $opens);
            $left = $closes->getTimestamp() - $at->getTimestamp();
            if ($seconds <= $left) {
                return $at->modify('+'.$seconds.' seconds');
            }
            $seconds -= $left;
            $at = self::midnightAfter($closes->modify('-1 second'));
        }
    }

    /** Seconds that were worked between two instants. */
    public function worked(\DateTimeImmutable $from, \DateTimeImmutable $until): int
    {
        $seconds = 0;
        $at = $from->setTimezone(
            new \DateTimeZone($this->zone),
        );
        while (true) {
            [$opens, $closes] = $this->spanOn($at);
            $at = max($at, $opens);
            if ($at >= $until) {
                return $seconds;
            }
            $seconds += min($closes, $until)->getTimestamp() - $at->getTimestamp();
            $at = self::midnightAfter($closes->modify('-1 second'));
        }
    }

    /** Midnight after the day of an instant. */
    private static function midnightAfter(\DateTimeImmutable $at): \DateTimeImmutable
    {
        return $at->modify('+1 day')->setTime(
            0,
            0,
        );
    }

    /**
     * The hours of the day of an instant, or of the next that has any.
     *
     * @return array{\DateTimeImmutable, \DateTimeImmutable} opens and closes
     */
    private function spanOn(\DateTimeImmutable $at): array
    {
        $hours = [] === $this->hours ? array_fill(1, 7, ['00:00', '24:00']) : $this->hours;
        $day = $at->setTime(0, 0);
        for ($tried = 0; $tried < self::MOST_DAYS_SHUT; ++$tried) {
            [$from, $to] = $hours[(int) $day->format('N')] ?? [
                '',
                '',
            ];
            $isOpen = '' !== $from && !\in_array(
                $day->format('Y-m-d'),
                $this->holidays,
                true,
            );
            if ($isOpen && $at < self::at($day, $to)) {
                return [
                    self::at($day, $from),
                    self::at($day, $to),
                ];
            }
            $day = $day->modify('+1 day');
        }

        return [$at, $at->modify('+1 day')];
    }

    private static function at(\DateTimeImmutable $day, string $time): \DateTimeImmutable
    {
        [$hours, $minutes] = explode(':', $time);

        return $day->setTime((int) $hours, (int) $minutes);
    }

    /** Such as `Mon to Thu 08:00 to 16:00, Fri 08:00 to 12:00`; empty: no hours are set. */
    public function words(): string
    {
        $spans = [];
        foreach ($this->hours as $day => [$from, $to]) {
            $last = array_key_last($spans);
            if (
                null !== $last
                && $spans[$last]['last'] === $day - 1
                && $spans[$last]['hours'] === [$from, $to]
            ) {
                $spans[$last]['last'] = $day;
            } else {
                $spans[] = [
                    'first' => $day,
                    'last' => $day,
                    'hours' => [$from, $to],
                ];
            }
        }

        return implode(', ', array_map(static function (array $span): string {
            $first = self::WEEKDAYS[$span['first']];
            $days = $span['first'] === $span['last'] ? $first : $first.' to '.self::WEEKDAYS[$span['last']];

            return \sprintf('%s %s to %s', $days, ...$span['hours']);
        }, $spans));
    }

    /** @return list<\DateTimeImmutable> closed days of the next two weeks */
    public function closedSoon(\DateTimeImmutable $at): array
    {
        $today = $at->setTimezone(new \DateTimeZone($this->zone))->format('Y-m-d');
        $until = $at->modify('+'.self::AHEAD_DAYS.' days')->format('Y-m-d');

        return array_values(array_map(
            static fn (string $day): \DateTimeImmutable => new \DateTimeImmutable(
                $day,
                new \DateTimeZone('UTC'),
            ),
            array_filter(
                $this->holidays,
                static fn (string $day): bool => $day >= $today && $day <= $until,
            ),
        ));
    }
}
