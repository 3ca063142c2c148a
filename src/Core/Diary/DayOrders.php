<?php

declare(strict_types=1);

namespace HandGarden\Core\Diary;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/**
 * What severities could have stood on other days: whole days change places, and only days with entries at the same
 * moments, so that an order puts a severity wherever there was one. Where there are few orders, all of them are gone
 * through; else as many as were asked for are drawn.
 */
final readonly class DayOrders
{
    /** Up to here all orders are gone through. */
    private const FEW = 5040;

    /** @var list<list<list<int>>> places of the entries, by likeness and day */
    private array $alike;

    /** @param list<Entry> $entries compared ones */
    public function __construct(array $entries)
    {
        $days = [];
        foreach ($entries as $place => $entry) {
            $days[$entry->dayKey()][$entry->moment->value][] = $place;
        }
        $alike = [];
        foreach ($days as $byMoment) {
            ksort($byMoment);
            $likeness = implode('|', array_map(
                static fn (string $moment, array $places): string => $moment.\count($places),
                array_keys($byMoment),
                $byMoment,
            ));
            $alike[$likeness][] = array_merge(...array_values($byMoment));
        }
        $this->alike = array_values($alike);
    }

    /** How many there are, as far as they are gone through; null: more. */
    public function count(): ?int
    {
        $count = 1;
        foreach ($this->alike as $days) {
            for ($n = 2; $n <= \count($days); ++$n) {
                $count *= $n;
                if ($count > self::FEW) {
                    return null;
                }
            }
        }

        return $count;
    }

    /**
     * @param list<int> $severities by place
     *
     * @return iterable<array<int, int>> the same in another order; the true one is among them where all are gone
     *     through
     */
    public function each(array $severities, int $draws, int $seed): iterable
    {
        if (null !== $this->count()) {
            yield from $this->all($severities, 0);

            return;
        }
        $random = new Randomizer(new Xoshiro256StarStar($seed));
        for ($n = 0; $n < $draws; ++$n) {
            $drawn = $severities;
            foreach ($this->alike as $days) {
                foreach ($random->shuffleArray($days) as $nth => $from) {
                    foreach ($days[$nth] as $k => $to) {
                        $drawn[$to] = $severities[$from[$k]];
                    }
                }
            }
            yield $drawn;
        }
    }

    /**
     * @param array<int, int> $severities
     *
     * @return iterable<array<int, int>>
     */
    private function all(array $severities, int $group): iterable
    {
        if (!isset($this->alike[$group])) {
            yield $severities;

            return;
        }
        $days = $this->alike[$group];
        foreach (self::orders(array_keys($days)) as $order) {
            $drawn = $severities;
            foreach ($order as $nth => $from) {
                foreach ($days[$nth] as $k => $to) {
                    $drawn[$to] = $severities[$days[$from][$k]];
                }
            }
            yield from $this->all($drawn, $group + 1);
        }
    }

    /**
     * @param list<int> $of
     *
     * @return iterable<list<int>>
     */
    private static function orders(array $of): iterable
    {
        if (\count($of) < 2) {
            yield $of;

            return;
        }
        foreach ($of as $nth => $first) {
            $rest = $of;
            unset($rest[$nth]);
            foreach (self::orders(array_values($rest)) as $order) {
                yield [$first, ...$order];
            }
        }
    }
}
