<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Anatomy\ArmPart;

/** A daily task with its parts, and the whole of it in plain steps. */
final readonly class DailyTask
{
    /**
     * @param list<Condition>          $conditions for whom it is
     * @param list<ArmPart>            $works      what the hand moves in it
     * @param list<string>             $materials  keys of the handbook
     * @param list<string>             $steps
     * @param ?string                  $oneHand    the way with one hand
     * @param non-empty-list<TaskPart> $parts      easiest first
     * @param FoldedPicture            $folded     the whole task, step by step
     */
    public function __construct(
        public string $key,
        public string $label,
        public array $conditions,
        public string $position,
        public array $works,
        public array $materials,
        public array $steps,
        public ?string $oneHand,
        public array $parts,
        private FoldedPicture $folded,
    ) {
    }

    public function picture(): Picture
    {
        return $this->folded->picture();
    }

    /** @param list<Condition> $conditions of a client */
    public function suits(array $conditions): bool
    {
        foreach ($conditions as $condition) {
            if (\in_array($condition, $this->conditions, true)) {
                return true;
            }
        }

        return false;
    }
}
