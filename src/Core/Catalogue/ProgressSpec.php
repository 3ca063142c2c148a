<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** One rule of a rung's progress with its parameters; several apply one after another. */
final readonly class ProgressSpec
{
    /**
     * @param list<float>           $steps    the values of `stretch-hold` in seconds or of `load` in kilograms
     * @param array<string, string> $settings parameters that are no whole numbers, as written: `start: best+1`,
     *     `floor: 1.0`
     */
    public function __construct(
        public ProgressKind $kind,
        public int $start,
        public int $step,
        public int $cap,
        public int $days,
        public array $steps = [],
        public int $repetitionsNeeded = 0,
        public array $settings = [],
    ) {
    }
}
