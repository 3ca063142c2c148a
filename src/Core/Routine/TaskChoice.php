<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\DailyTask;
use HandGarden\Core\Catalogue\TaskPart;
use HandGarden\Core\Catalogue\TaskWith;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Condition\Truth;
use HandGarden\Core\Placement\ClientFacts;
use HandGarden\Core\Placement\KnownFacts;
use HandGarden\Core\Placement\Performers;

/** The most wanted task that fits, at its highest part whose conditions hold. */
final readonly class TaskChoice
{
    /** How far a task asks the arm to be lifted, by its flags. */
    private const LIFTS = ['raise', 'high'];

    public function __construct(
        private Catalogue $catalogue,
        private ClientFacts $facts,
        private KnownFacts $known,
    ) {
    }

    /** @return ?TaskToday null: no goal has a task that fits */
    public function of(Goals $goals): ?TaskToday
    {
        $side = $this->facts->people->affected[0];
        $first = null;
        foreach ($goals->goals as [$goal]) {
            $task = $this->catalogue->task($goal->key);
            if (null === $task || !$task->suits($this->facts->people->conditions)) {
                continue;
            }
            $part = $this->highest($task, $side);
            if (null !== $part) {
                return new TaskToday($task, $part, $side, []);
            }
            $first ??= new TaskToday(
                $task,
                null,
                $side,
                $this->missing($task->parts[0], $side),
            );
        }

        return $first;
    }

    private function highest(DailyTask $task, Side $side): ?TaskPart
    {
        foreach (array_reverse($task->parts) as $part) {
            if (
                $this->mayStand($task, $part, $side)
                && $this->isThere($task, $part, $side)
                && $part->entry->judge($this->known, $side)->isTrue()
            ) {
                return $part;
            }
        }

        return null;
    }

    /** Nothing bars a part of the arm that it works, and what has to be earned was shown to go clean. */
    private function mayStand(DailyTask $task, TaskPart $part, Side $side): bool
    {
        foreach ($task->works as $works) {
            if (ArmPart::Shoulder === $works && [] === array_intersect(self::LIFTS, $part->flags)) {
                continue;
            }
            $joint = ArmPart::Thumb === $works ? 'thumb_base' : $works->value;
            $isBarred = true === $this->known->value('unstable', $joint, $side)
                || true === $this->known->value('recent_injury', $works->value, $side)
                || (\in_array('firm', $part->flags, true) && true === $this->known->value(
                    'painful',
                    $joint,
                    $side,
                ));
            if ($isBarred) {
                return false;
            }
        }

        return !$part->isEarned
            || 'clean' === $this->known->value('tryout', $part->idIn($task), $side)
            || $this->facts->isMet($part->idIn($task), $side);
    }

    private function isThere(DailyTask $task, TaskPart $part, Side $side): bool
    {
        $who = new Performers($this->facts, $this->known);
        foreach ([] === $part->with ? [TaskWith::Alone, TaskWith::Prompt] : $part->with as $with) {
            $performer = $with->performer();
            $is = null === $performer
                ? $this->facts->setting->supervised
                : $who->isAble($performer, $part->idIn($task), [], $side);
            if ($is) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> */
    private function missing(TaskPart $part, Side $side): array
    {
        $codes = array_map(
            static fn (Finding $f): string => $f->atom->code,
            array_filter(
                $part->entry->judge($this->known, $side)->findings,
                static fn (Finding $f): bool => Truth::True !== $f->truth,
            ),
        );

        return array_values(array_unique($codes));
    }
}
