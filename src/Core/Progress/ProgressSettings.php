<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Defaults of the progress rules, from practice; no page sets them yet. See docs/sources.md. */
final readonly class ProgressSettings
{
    public function __construct(
        public int $windowDays = 14,
        public int $leastSittings = 3,
        public int $painFrom = 4,
        public int $painRise = 1,
        public int $painRiseAlone = 2,
        public int $painSuspends = 7,
        public int $tighterSittings = 2,
        public float $compensationShare = 1 / 3,
        public int $fatigueHigh = 8,
        public int $fatigueSittings = 2,
        public int $breakDays = 7,
        public int $longBreakDays = 14,
        public float $plateauAdherence = 0.7,
    ) {
    }

    /** First day that rules look back to. */
    public function windowFrom(\DateTimeImmutable $today): \DateTimeImmutable
    {
        return $today->modify('-'.$this->windowDays.' days');
    }
}
