<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition;

/** One step of a daily task, easier than the next. */
final readonly class TaskPart
{
    /**
     * @param int             $minutes   that it takes once
     * @param Condition       $entry     its own condition and those of its flags
     * @param ?string         $stop      beside what is always a reason to stop
     * @param list<string>    $flags     what else it asks for: water, heat, a blade, standing
     * @param bool            $isEarned  the part before it comes first, however able the hand
     * @param list<TaskWith>  $with      who has to be there; any of them
     * @param string          $watchFor  what must not happen meanwhile
     */
    public function __construct(
        public string $id,
        public string $words,
        public int $minutes,
        public Condition $entry,
        public string $watchFor,
        public ?string $stop,
        public array $flags,
        public bool $isEarned,
        public array $with,
    ) {
    }

    /** By which it is told apart from parts of other tasks, in evidence and sign-offs. */
    public function idIn(DailyTask $task): string
    {
        return $task->key.'.'.$this->id;
    }
}
