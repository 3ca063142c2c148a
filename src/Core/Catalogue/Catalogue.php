<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Placement\Vocabulary;
use HandGarden\Core\Screening\ScreeningQuestions;

/** All ladders in their order, with the vocabulary their conditions are written in and the screening before them. */
final readonly class Catalogue
{
    /** @var array<string, array{Ladder, Rung}> */
    private array $byRung;

    /**
     * @param list<Ladder>   $ladders
     * @param list<GoalTask> $goals
     */
    public function __construct(public array $ladders, public Vocabulary $vocabulary, public ScreeningQuestions $screening, public array $goals, public Handbook $handbook)
    {
        $byRung = [];
        foreach ($ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $byRung[$rung->id] = [$ladder, $rung];
            }
        }
        $this->byRung = $byRung;
    }

    /** @throws UnknownRung */
    public function rung(string $id): Rung
    {
        return ($this->byRung[$id] ?? throw UnknownRung::named($id))[1];
    }

    /** @return list<Rung> easier ones: those named, then the neighbour below */
    public function easierThan(string $rungId): array
    {
        return $this->linked($rungId, $this->rung($rungId)->easier, -1);
    }

    /** @return list<Rung> harder ones: those named, then the neighbour above */
    public function harderThan(string $rungId): array
    {
        return $this->linked($rungId, $this->rung($rungId)->harder, 1);
    }

    /**
     * @param list<string> $named
     *
     * @return list<Rung>
     */
    private function linked(string $rungId, array $named, int $step): array
    {
        $ladder = $this->ladderOf($rungId);
        $neighbour = $ladder->rungs[($ladder->positionOf($rungId) ?? 0) - 1 + $step] ?? null;
        $ids = array_unique([...$named, ...(null === $neighbour ? [] : [$neighbour->id])]);

        return array_map($this->rung(...), array_values($ids));
    }

    /** @throws UnknownRung */
    public function ladderOf(string $rungId): Ladder
    {
        return ($this->byRung[$rungId] ?? throw UnknownRung::named($rungId))[0];
    }

    public function goal(string $key): ?GoalTask
    {
        foreach ($this->goals as $goal) {
            if ($goal->key === $key) {
                return $goal;
            }
        }

        return null;
    }

    public function hasRung(string $id): bool
    {
        return isset($this->byRung[$id]);
    }

    /** @return list<Rung> in catalogue order */
    public function rungs(): array
    {
        return array_column($this->byRung, 1);
    }
}
