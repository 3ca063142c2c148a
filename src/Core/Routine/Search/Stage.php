<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Search;

/** A group of the candidates: one of its choices is taken, or none. */
final readonly class Stage
{
    /** Bits of the items that other groups could bring as well. */
    public int $shared;

    /** Bits that any of its choices has to find before it. */
    public int $needs;

    /** Points at most that one of its choices brings. */
    public int $points;

    /** @param non-empty-list<Choice> $choices */
    public function __construct(
        public array $choices,
        public bool $must,
        public int $area,
        public int $areaPoints,
        public bool $closes,
    ) {
        $this->shared = array_reduce(
            $choices,
            static fn (int $bits, Choice $c): int => $bits | $c->shared,
            0,
        );
        $this->needs = array_reduce(
            $choices,
            static fn (int $bits, Choice $c): int => $bits | $c->needs,
            0,
        );
        $this->points = max(array_map(static fn (Choice $c): int => $c->points, $choices));
    }
}
