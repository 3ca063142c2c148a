<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Digit;
use HandGarden\Core\Anatomy\Joint;

/**
 * One thing that can be measured. Joint readings are signed end positions in degrees: wrist extension +, flexion -;
 * forearm thumb-up 0, supination +; finger and thumb hinges flexion +, hyperextension -.
 */
final readonly class MeasureKind
{
    /**
     * @param list<string>          $arguments      what the same measure can be taken at, such as wrist angles;
     *     empty: nothing
     * @param array<string, string> $argumentLabels how an argument is said, where that is not plain from itself
     */
    public function __construct(
        public string $code,
        public string $label,
        public Unit $unit,
        public float $min,
        public float $max,
        public string $howTaken,
        public int $secondsToTake,
        public bool $hasMode = false,
        public bool $sided = true,
        public array $arguments = [],
        public ?Digit $digit = null,
        public ?Joint $joint = null,
        public bool $isFlexionEnd = false,
        public float $step = 1.0,
        public bool $lowerIsBetter = false,
        public Combine $combine = Combine::Mean,
        public int $usualTrials = 1,
        public array $argumentLabels = [],
    ) {
    }

    /** Judged by looking, never measured with an instrument. */
    public function isByEye(): bool
    {
        return \in_array($this->code, ['opening', 'along'], true);
    }

    public function accepts(float $value): bool
    {
        return $value >= $this->min && $value <= $this->max && is_finite($value);
    }

    public function range(): string
    {
        return \sprintf('%s..%s', $this->min, $this->max);
    }
}
