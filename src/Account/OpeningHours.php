<?php

declare(strict_types=1);

namespace HandGarden\Account;

/** When somebody answers at a clinic: hours of each weekday, and the days on which it is closed. */
final readonly class OpeningHours
{
    public const WEEKDAYS = [1 => 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];
    private const TIME = '/^([01]\d|2[0-3]):[0-5]\d$/D';
    /** Closed days are told so many days ahead. */
    private const AHEAD_DAYS = 14;

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
        $here = $at->setTimezone(new \DateTimeZone($this->zone));
        [$from, $to] = $this->hours[(int) $here->format('N')] ?? ['', ''];
        $time = $here->format('H:i');

        return '' !== $from
            && $time >= $from
            && $time < $to
            && !\in_array($here->format('Y-m-d'), $this->holidays, true);
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
                $spans[] = ['first' => $day, 'last' => $day, 'hours' => [$from, $to]];
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
