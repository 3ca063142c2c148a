<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Phrase;

/** The plan at home as it stands on the day of writing. */
final readonly class PlanNow
{
    /**
     * @param int                 $exercises that may be done
     * @param int                 $waiting   that rest until somebody has looked
     * @param int                 $minutes   of the longest sitting of the week
     * @param ?\DateTimeImmutable $ends      of the block; null: none runs
     */
    public function __construct(
        public string $routineId,
        public int $exercises,
        public int $waiting,
        public int $minutes,
        public int $daysPerWeek,
        public ?string $blockId,
        public ?\DateTimeImmutable $ends,
    ) {
    }

    /** @param string $goesOn code of the words where anything may be done */
    public function says(string $goesOn): Phrase
    {
        return new Phrase(0 === $this->exercises ? 'report.waits' : $goesOn, [
            'exercises' => $this->exercises,
            'waiting' => $this->waiting,
            'minutes' => $this->minutes,
            'days' => $this->daysPerWeek,
        ]);
    }

    /** @return non-empty-list<Fact> */
    public function facts(Fact ...$and): array
    {
        return [new Fact(FactKind::Routine, $this->routineId), ...array_values($and)];
    }
}
