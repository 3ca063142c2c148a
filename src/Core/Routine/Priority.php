<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** How much something matters for a hand now: for its goals, and for what limits it. */
final readonly class Priority
{
    public const FOCUS_FROM = 3;

    /**
     * @param int          $goal       0 to 5
     * @param int          $impairment 0 to 5
     * @param list<string> $reasons    of the rows that are true, in their order
     */
    public function __construct(
        public int $goal,
        public int $impairment,
        public array $reasons = [],
    ) {
    }

    /** Shared by the exercises of a menu, of which one may stand for another. */
    public function amongst(int $others): self
    {
        $share = static fn (int $weight): int => intdiv(2 * $weight + $others, $others + 1);

        return new self($share($this->goal), $share($this->impairment), $this->reasons);
    }

    public function total(): int
    {
        return $this->goal + $this->impairment;
    }
}
