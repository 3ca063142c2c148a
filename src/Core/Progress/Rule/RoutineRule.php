<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress\Rule;

use HandGarden\Core\Progress\Prescribed;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\SittingLog;

/** One thing that the whole log can ask for. */
interface RoutineRule
{
    /**
     * @param list<Prescribed> $items
     *
     * @return list<Proposal>|null null: it does not apply, the next rule is asked; empty: it does, and asks for nothing
     */
    public function propose(array $items, SittingLog $log, \DateTimeImmutable $today): ?array;
}
