<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What the builder suggests for one sitting. */
final readonly class Routine
{
    /**
     * @param int           $value   of the objective, in points
     * @param int           $bound   no routine under these rules can be worth more
     * @param list<LeftOut> $leftOut
     */
    public function __construct(
        public Sequence $sequence,
        public Limits $limits,
        public int $value,
        public int $bound,
        public array $leftOut,
    ) {
    }

    public function isProvedBest(): bool
    {
        return $this->bound === $this->value;
    }
}
