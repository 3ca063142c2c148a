<?php

declare(strict_types=1);

namespace HandGarden\Content\Pictures;

use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Catalogue\DailyTask;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Score\TaskSteps;

/** The doing of a daily task shows the task, not the exercise that stands for all of them. */
final readonly class TaskPictures
{
    public function __construct(
        private CatalogueStore $catalogue,
    ) {
    }

    /**
     * Every task as it is shown in place of an exercise that stands for them.
     *
     * @return array<string, Rung> by key of the task
     */
    public function all(Rung $standsFor): array
    {
        return array_map(
            static fn (DailyTask $task): Rung => $standsFor->withPicture($standsFor->id, $task->picture()),
            $this->catalogue->get()->tasks(),
        );
    }

    /** The exercise of an item with the picture that it has there. */
    public function of(Item $item): Rung
    {
        $task = (new TaskSteps($this->catalogue->get()))->taskOf($item);

        return null === $task ? $item->rung : $item->rung->withPicture($item->rung->id, $task->picture());
    }
}
