<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\DailyTask;
use HandGarden\Core\Catalogue\TaskPart;
use HandGarden\Core\Routine\Item;

/** What a client does one after the other in the daily task of a sitting. */
final readonly class TaskSteps
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** The daily task that an item is the doing of; null: it is none. */
    public function taskOf(Item $item): ?DailyTask
    {
        $key = $item->variant->with['key'] ?? null;

        return \is_string($key) ? $this->catalogue->task($key) : null;
    }

    /** @return list<string> all steps where the whole task is done, else its part in one; none: it is no task */
    public function of(Item $item): array
    {
        $task = $this->taskOf($item);
        if (null === $task) {
            return [];
        }
        $parts = array_values(array_filter(
            $task->parts,
            static fn (TaskPart $p): bool => $p->id === $item->variant?->with['part'],
        ));

        return match (true) {
            [] === $parts => [],
            $parts[0] === $task->parts[array_key_last($task->parts)] => $task->steps,
            default => [$parts[0]->words],
        };
    }
}
