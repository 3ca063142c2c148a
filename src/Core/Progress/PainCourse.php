<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Measure\Statistics;

/** Pain after practice over a time: the middle of its first days, and of its last. */
final readonly class PainCourse
{
    private const DAYS = 5;
    private const RISE = 2.0;

    private function __construct(
        public float $first,
        public float $last,
    ) {
    }

    /**
     * @param list<int> $pains 0 to 10, the worst of each day on which it was told, oldest first
     *
     * @return ?self null: too few for a first and a last
     */
    public static function of(array $pains): ?self
    {
        $first = \array_slice($pains, 0, self::DAYS);
        $last = \array_slice($pains, -self::DAYS);

        return \count($pains) < 2 * self::DAYS || [] === $first || [] === $last ? null : new self(
            Statistics::median(array_map(floatval(...), $first)),
            Statistics::median(array_map(floatval(...), $last)),
        );
    }

    public function isRise(): bool
    {
        return $this->last - $this->first >= self::RISE;
    }
}
