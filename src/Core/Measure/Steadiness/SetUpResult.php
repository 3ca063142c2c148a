<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/** One set-up beside the unsupported action. */
final readonly class SetUpResult
{
    /**
     * @param float $mean      mean of its trials, in the unit of the trial
     * @param float $lowerBy   how much lower than unsupported; negative: higher
     * @param float $mustBeat  what a difference has to be more than
     */
    public function __construct(
        public SetUp $setUp,
        public int $trials,
        public float $mean,
        public float $lowerBy,
        public float $mustBeat,
    ) {
    }

    public function isBetter(): bool
    {
        return $this->lowerBy > $this->mustBeat;
    }
}
