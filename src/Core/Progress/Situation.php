<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Catalogue\Condition;

/** What a log is read with. */
final readonly class Situation
{
    /**
     * @param list<Condition> $conditions of the client
     * @param list<string>    $answered   keys of proposals that a therapist has answered
     * @param list<StepTaken> $steps      of the last days
     * @param ?StepsAhead     $ahead      what a next exercise has to hold to; null: nothing is known of the hand
     */
    public function __construct(
        public array $conditions,
        public int $daysPerWeek,
        public \DateTimeImmutable $today,
        public UsualPain $usual = new UsualPain(),
        public array $answered = [],
        public QuietCards $quiet = new QuietCards(),
        public array $steps = [],
        public ?StepsAhead $ahead = null,
        public bool $atHome = true,
    ) {
    }
}
