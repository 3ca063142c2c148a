<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

use HandGarden\Core\Measure\Reading;
use HandGarden\Core\Measure\Statistics;

/**
 * What this client's own repeats say about the error of measurement: the standard deviation pooled over the days,
 * sqrt(sum of squares about each day's mean / sum of (n - 1)).
 */
final readonly class Repeats
{
    public const FEWEST_FREE = 6;
    public const FEWEST_DAYS = 2;

    private function __construct(
        public float $deviation,
        public int $degreesOfFreedom,
        public int $days,
    ) {
    }

    /** @param list<list<float>> $byDay the trials of each day */
    public static function from(array $byDay): self
    {
        $scatter = 0.0;
        $free = $days = 0;
        foreach ($byDay as $trials) {
            if (\count($trials) < 2) {
                continue;
            }
            $scatter += Statistics::scatter($trials);
            $free += \count($trials) - 1;
            ++$days;
        }

        return new self(0 === $free ? 0.0 : sqrt($scatter / $free), $free, $days);
    }

    /** @param list<Reading> $history */
    public static function ofReadings(array $history): self
    {
        $byDay = [];
        foreach ($history as $reading) {
            if (\count($reading->taken->trials ?? []) < 2) {
                continue;
            }
            $byDay[$reading->on->format('Y-m-d')] = [
                ...($byDay[$reading->on->format('Y-m-d')] ?? []),
                ...($reading->taken->trials ?? []),
            ];
        }

        return self::from(array_values($byDay));
    }

    public function areEnough(): bool
    {
        return $this->degreesOfFreedom >= self::FEWEST_FREE && $this->days >= self::FEWEST_DAYS;
    }
}
