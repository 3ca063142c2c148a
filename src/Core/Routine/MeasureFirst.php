<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Placement\Needed;

/** What to measure first: most of what matters decided in a second comes before all else. */
final readonly class MeasureFirst
{
    /** So many are asked at once; the rest is there for who wants it. */
    public const MOST = 8;

    public function __construct(
        private Priorities $priorities,
    ) {
    }

    /**
     * @param list<Needed> $needed
     *
     * @return list<Needed> by the need of the ladders they decide for each second that they take
     */
    public function order(array $needed): array
    {
        $rated = array_map(
            fn (Needed $n): array => [$this->worth($n) / max(1, $n->seconds), $n],
            $needed,
        );
        usort($rated, static fn (array $a, array $b): int => [
            $b[0],
            $a[1]->seconds,
            $a[1]->code,
            $a[1]->argument,
        ] <=> [$a[0], $b[1]->seconds, $b[1]->code, $b[1]->argument]);

        return array_column($rated, 1);
    }

    /**
     * @param list<Needed> $needed
     *
     * @return list<Needed> the first few of which the answer matters; where none does, the shortest few
     */
    public function first(array $needed): array
    {
        $matter = array_values(array_filter(
            $needed,
            fn (Needed $n): bool => $this->worth($n) > 0,
        ));

        return \array_slice(
            $this->order([] === $matter ? $needed : $matter),
            0,
            self::MOST,
        );
    }

    private function worth(Needed $needed): int
    {
        return array_sum(array_map(
            fn (array $of): int => $this->priorities->ofLadder(...$of)->total(),
            $needed->decides,
        ));
    }
}
