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
     * @param bool                  $mayBeTakenAtRest without any argument as well: with the wrist as it rests
     * @param bool                  $isByEye        judged by looking, never measured with an instrument
     * @param bool                  $isShortLived   changes within days, so that a reading counts for less long
     * @param list<NumberFact>      $answers        what conditions call it
     * @param list<DerivedFact>     $derived        what is worked out from several of its readings
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
        public string $group = '',
        public ?TakenAt $takenAt = null,
        public bool $mayBeTakenAtRest = false,
        public bool $isByEye = false,
        public bool $isShortLived = false,
        public array $answers = [],
        public array $derived = [],
    ) {
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
