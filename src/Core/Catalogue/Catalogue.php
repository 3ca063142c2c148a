<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Screening\ScreeningQuestions;

/** All ladders in their order, with the vocabulary their conditions are written in and the screening before them. */
final class Catalogue
{
    /** A clinic's own, where there are any; never part of what is kept. */
    private ?MoreRungs $more = null;

    /**
     * @param list<GoalTask>                $goals
     * @param Handbook|(\Closure(): Handbook) $handbook most pages never open it
     * @param list<Impairment>              $impairments
     * @param array<string, DailyTask>      $tasks       by key of the goal
     */
    public function __construct(
        private readonly Ladders $ladders,
        public readonly Vocabulary $vocabulary,
        public readonly ScreeningQuestions $screening,
        public readonly array $goals,
        private Handbook|\Closure $handbook,
        public readonly array $impairments = [],
        private readonly array $tasks = [],
    ) {
    }

    public function handbook(): Handbook
    {
        if ($this->handbook instanceof \Closure) {
            $this->handbook = ($this->handbook)();
        }

        return $this->handbook;
    }

    /**
     * The same with its ladders and its handbook from elsewhere.
     *
     * @param Handbook|(\Closure(): Handbook) $handbook
     */
    public function over(Ladders $ladders, Handbook|\Closure $handbook): self
    {
        return new self(
            $ladders,
            $this->vocabulary,
            $this->screening,
            $this->goals,
            handbook: $handbook,
            impairments: $this->impairments,
            tasks: $this->tasks,
        );
    }

    /** @return list<Ladder> in the order of a sitting, without a clinic's own */
    public function ladders(): array
    {
        return $this->ladders->all();
    }

    /** @throws UnknownRung */
    public function rung(string $id): Rung
    {
        return ($this->found($id) ?? throw UnknownRung::named($id))[1];
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
        return ($this->found($rungId) ?? throw UnknownRung::named($rungId))[0];
    }

    /** @return array<string, DailyTask> by key */
    public function tasks(): array
    {
        return $this->tasks;
    }

    /** A goal as a task with its parts. */
    public function task(string $key): ?DailyTask
    {
        return $this->tasks[$key] ?? null;
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
        return null !== $this->found($id);
    }

    /** Its name; of an exercise that the catalogue no longer has the id. */
    public function nameOf(string $id): string
    {
        return $this->hasRung($id) ? $this->rung($id)->name : $id;
    }

    /** @return list<Ladder> whose standing rung may stand after a grip, the one to be tried first in front */
    public function laddersThatLetGo(): array
    {
        $ladders = array_filter($this->ladders(), static fn (Ladder $l): bool => null !== $l->letsGo);
        usort($ladders, static fn (Ladder $a, Ladder $b): int => $a->letsGo <=> $b->letsGo);

        return $ladders;
    }

    /** What stands between heavy items for the same muscles. */
    public function pause(): ?Rung
    {
        foreach ($this->rungs() as $rung) {
            if (SittingRole::Pause === $rung->sitting->role) {
                return $rung;
            }
        }

        return null;
    }

    public function askAlso(MoreRungs $more): void
    {
        $this->more = $more;
    }

    /** @return array{Ladder, Rung}|null */
    private function found(string $id): ?array
    {
        $ladder = $this->ladders->with($id);
        $rung = $ladder?->rung($id);

        return null === $ladder || null === $rung ? $this->more?->find($id) : [$ladder, $rung];
    }

    /** @return list<Rung> in the order of a sitting, without a clinic's own */
    public function rungs(): array
    {
        return array_merge(
            ...array_map(static fn (Ladder $ladder): array => $ladder->rungs, $this->ladders()),
        );
    }
}
