<?php

declare(strict_types=1);

namespace HandGarden\Core\Score;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\TaskPart;
use HandGarden\Core\Routine\Item;

/** What a client does one after the other in the daily task of a sitting. */
final readonly class TaskSteps
{
    public function __construct(
        private Catalogue $catalogue,
    ) {
    }

    /** @return list<string> all steps where the whole task is done, else its part in one; none: it is no task */
    public function of(Item $item): array
    {
        $key = $item->variant->with['key'] ?? null;
        $task = \is_string($key) ? $this->catalogue->task($key) : null;
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
