<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

/** The little statistics that trials and repeats need. */
final class Statistics
{
    /** @param non-empty-list<float> $values */
    public static function median(array $values): float
    {
        sort($values);
        $n = \count($values);

        return 0.5 * ($values[intdiv($n - 1, 2)] + $values[intdiv($n, 2)]);
    }

    /** @param non-empty-list<float> $values */
    public static function mean(array $values): float
    {
        return array_sum($values) / \count($values);
    }

    /** @param non-empty-list<float> $values sum of squared distances from their mean */
    public static function scatter(array $values): float
    {
        $mean = self::mean($values);

        return array_sum(array_map(static fn (float $v): float => ($v - $mean) ** 2, $values));
    }

    /** @param non-empty-list<float> $values standard deviation of a sample; 0 for one value */
    public static function deviation(array $values): float
    {
        return \count($values) < 2 ? 0.0 : sqrt(self::scatter($values) / (\count($values) - 1));
    }
}
