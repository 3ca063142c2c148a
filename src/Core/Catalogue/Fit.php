<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition as EntryCondition;

/** For whom an exercise is, with what and by whom it is done, and what has to hold before. */
final readonly class Fit
{
    /**
     * @param list<Performer> $performers
     * @param list<string>    $materials  keys of the handbook
     * @param list<Condition> $conditions
     * @param list<Caution>   $cautions   from `avoid when` and from the gates of its ladder
     * @param list<Caution>   $bars       what keeps out every exercise that does such things; not asked for while
     *     unknown
     * @param ?EntryCondition $settledWhen what was measured says that it lies behind; null: only a try-out or the log
     *     can tell
     */
    public function __construct(
        public array $performers,
        public array $materials,
        public DoneOn $doneOn,
        public array $conditions,
        public array $cautions,
        public EntryCondition $entry,
        public ?EntryCondition $endsWhile,
        public array $bars = [],
        public ?EntryCondition $settledWhen = null,
    ) {
    }

    /**
     * @param list<Condition> $conditions of the client; with advanced dementia only what lists it fits, whatever else
     *     there is
     */
    public function suits(array $conditions): bool
    {
        if (\in_array(Condition::AdvancedDementia, $conditions, true)) {
            return \in_array(Condition::AdvancedDementia, $this->conditions, true);
        }
        foreach ($conditions as $condition) {
            if (\in_array($condition, $this->conditions, true)) {
                return true;
            }
        }

        return false;
    }
}
