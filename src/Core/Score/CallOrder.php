<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Cue\Calls;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Numbers in an order that cannot be guessed: drawn from a bag that holds each once, in a long run twice, and that is
 * filled again when it is empty; never the same twice running, the very first is the least.
 */
final readonly class CallOrder
{
    /** A run of so many draws from a bag that holds each number twice. */
    private const LONG_FROM = 10;

    /** @return list<int> so many as are called in a set */
    public static function of(Calls $calls, int $count, int $seed, bool $isFirst): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $bag = range($calls->from, $calls->to);
        if ($count >= self::LONG_FROM) {
            $bag = [...$bag, ...$bag];
        }
        $order = $isFirst ? [$calls->from] : [];
        $left = $isFirst ? self::without($bag, $calls->from) : $bag;
        while (\count($order) < $count) {
            $order = [...$order, ...self::drawn($left, $order, $chance)];
            $left = $bag;
        }

        return \array_slice($order, 0, $count);
    }

    /**
     * @param list<int> $left   in the bag
     * @param list<int> $before what was called
     *
     * @return list<int>
     */
    private static function drawn(array $left, array $before, Randomizer $chance): array
    {
        do {
            /** @var list<int> $drawn */
            $drawn = $chance->shuffleArray($left);
        } while (self::repeats([...\array_slice($before, -1), ...$drawn]));

        return $drawn;
    }

    /** @param list<int> $numbers */
    private static function repeats(array $numbers): bool
    {
        foreach ($numbers as $i => $number) {
            if (($numbers[$i - 1] ?? null) === $number) {
                return \count($numbers) > 1 && \count(array_unique($numbers)) > 1;
            }
        }

        return false;
    }

    /**
     * @param list<int> $bag
     *
     * @return list<int>
     */
    private static function without(array $bag, int $number): array
    {
        unset($bag[array_search($number, $bag, true)]);

        return array_values($bag);
    }
}
