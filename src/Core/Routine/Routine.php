<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What the builder suggests for one sitting. */
final readonly class Routine
{
    /**
     * @param list<LeftOut> $leftOut
     * @param list<string>  $withFiveMoreMinutes what would be added
     */
    public function __construct(
        public Sequence $sequence,
        public Limits $limits,
        public int $value,
        public bool $provedBest,
        public array $leftOut,
        public array $withFiveMoreMinutes,
    ) {
    }
}
