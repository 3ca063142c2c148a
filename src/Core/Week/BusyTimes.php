<?php

declare(strict_types=1);

namespace HandGarden\Core\Week;

/** When somebody is taken, as instants: what is left of a calendar once it was read. */
final readonly class BusyTimes
{
    /** @param list<array{int, int}> $spans begin and end in seconds since 1970, in their order, not overlapping */
    private function __construct(
        public array $spans,
    ) {
    }

    /** @param list<array{int, int}> $spans in any order */
    public static function from(array $spans): self
    {
        sort($spans);
        $joined = [];
        foreach ($spans as [$from, $to]) {
            $last = array_key_last($joined);
            if (null !== $last && $from <= $joined[$last][1]) {
                $joined[$last][1] = max($joined[$last][1], $to);
            } elseif ($from < $to) {
                $joined[] = [$from, $to];
            }
        }

        return new self($joined);
    }

    /** @return array<int, list<Slot>> by day of the week, 0 is Monday */
    public function inWeek(\DateTimeImmutable $monday, \DateTimeZone $zone): array
    {
        $busy = [];
        for ($day = 0; $day < 7; ++$day) {
            $midnight = new \DateTimeImmutable($monday->modify("+$day days")->format('Y-m-d'), $zone);
            $next = new \DateTimeImmutable($monday->modify('+'.($day + 1).' days')->format('Y-m-d'), $zone);
            foreach ($this->spans as [$from, $to]) {
                if ($from < $next->getTimestamp() && $to > $midnight->getTimestamp()) {
                    $begin = $from <= $midnight->getTimestamp() ? 0 : self::minutes($from, $zone);
                    $end = $to >= $next->getTimestamp() ? 1440 : self::minutes($to + 59, $zone);
                    // in the hour that comes twice an end can stand before its begin on the clock
                    $busy[$day][] = new Slot($begin, min(1440, max($begin + 1, $end)));
                }
            }
        }

        return $busy;
    }

    /** Whole minutes on the clock of that day, so that a change of summer time moves nothing. */
    private static function minutes(int $instant, \DateTimeZone $zone): int
    {
        $local = (new \DateTimeImmutable('@'.$instant))->setTimezone($zone);

        return 60 * (int) $local->format('G') + (int) $local->format('i');
    }
}
