<?php

declare(strict_types=1);

namespace HandGarden\Exchange\Case;

use HandGarden\Core\Catalogue\GoalTask;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\SittingLog;
use HandGarden\Core\Routine\Limits;

/** One client as a file: see docs/formats.md. */
final readonly class CaseFile
{
    /** @param list<Prescribed> $routine */
    public function __construct(
        public \DateTimeImmutable $today,
        public ClientFacts $facts,
        public ?GoalTask $goal,
        public Limits $limits,
        public int $daysPerWeek,
        public array $routine,
        public SittingLog $log,
    ) {
    }
}
