<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\DailyTask;
use HandGarden\Core\Catalogue\TaskPart;

/** The daily task of a sitting at the part that may be given, or what is missing for its first. */
final readonly class TaskToday
{
    /** @param list<string> $missing codes of what is not there yet or not known, for the first part */
    public function __construct(
        public DailyTask $task,
        public ?TaskPart $part,
        public Side $side,
        public array $missing,
    ) {
    }
}
