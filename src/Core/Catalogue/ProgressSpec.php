<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\FactCode;

/** One rule of a rung's progress with its parameters; several apply one after another. */
final readonly class ProgressSpec
{
    /**
     * @param list<float>           $steps    the values of `stretch-hold` in seconds or of `load` in kilograms
     * @param list<int|float|string> $levels  of its challenge, easiest first
     * @param float                 $share    of errors that are too many, or of tries that are enough; 0: not counted
     */
    public function __construct(
        public ProgressKind $kind,
        public int $start,
        public int $step,
        public int $cap,
        public int $days,
        public array $steps = [],
        public int $repetitionsNeeded = 0,
        public array $levels = [],
        public float $share = 0.0,
        /** What was measured that the first level is at most. */
        public ?FactCode $measured = null,
        /** Each repetition held so long, as far as the exercise is held at all. */
        public int $holdSecondsNeeded = 0,
    ) {
    }
}
