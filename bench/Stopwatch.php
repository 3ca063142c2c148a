<?php

declare(strict_types=1);

namespace HandGarden\Bench;

/** Times a piece of work and prints median and 95th percentile in milliseconds. */
final class Stopwatch
{
    /** @param \Closure(int): mixed $work told the number of the round */
    public static function run(
        string $name,
        int $warmUp,
        int $rounds,
        \Closure $work,
        ?float $limitMs = null,
    ): float {
        for ($i = 0; $i < $warmUp; ++$i) {
            $work($i);
        }
        $times = [];
        for ($i = 0; $i < $rounds; ++$i) {
            $start = hrtime(true);
            $work($warmUp + $i);
            $times[] = (hrtime(true) - $start) / 1e6;
        }
        sort($times);
        $median = $times[intdiv($rounds, 2)];
        printf(
            "%-46s median %7.2f ms   95%% %7.2f ms%s\n",
            $name,
            $median,
            $times[(int) ($rounds * .95)],
            match (true) {
                null === $limitMs => '',
                $median <= $limitMs => \sprintf('   (limit %.0f)', $limitMs),
                default => \sprintf('   (limit %.0f, MISSED)', $limitMs),
            },
        );

        return $median;
    }

    /** Processor time of this process so far: a clock on the wall also counts what a busy machine gives to others. */
    public static function processorMs(): float
    {
        /** @var array<string, int> $usage */
        $usage = getrusage();

        return 1e3 * ($usage['ru_utime.tv_sec'] + $usage['ru_stime.tv_sec']) + 1e-3 * (
            $usage['ru_utime.tv_usec'] + $usage['ru_stime.tv_usec']
        );
    }
}
