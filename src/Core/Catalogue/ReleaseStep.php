<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** One step of the hands-on release of a tight hand, with the gate to the next. */
final readonly class ReleaseStep
{
    /**
     * @param list<int>         $ifToneRisesGoTo steps to go back to; empty: stay and lighten as the text says
     * @param bool              $raisesArm       left out where the shoulder may not be raised
     * @param list<ReleaseTurn> $turning         how the hands follow the turning of the forearm, over and over
     */
    public function __construct(
        public int $number,
        public string $title,
        public string $rungId,
        public string $hands,
        public string $movement,
        public string $tempo,
        public string $pressure,
        public string $lookFor,
        public string $ifToneRises,
        public array $ifToneRisesGoTo,
        public string $gate,
        public bool $isOptional,
        public bool $raisesArm = false,
        public array $turning = [],
    ) {
    }
}
