<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\GoalTask;

/** The daily tasks a client works towards, each with how much it matters beside the others (1 to 3). */
final readonly class Goals
{
    public const LEAST = 1;
    public const MOST = 3;

    /** @param list<array{GoalTask, int}> $goals the one that matters most first */
    private function __construct(
        public array $goals,
    ) {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public static function one(?GoalTask $goal): self
    {
        return null === $goal ? self::none() : new self([[$goal, self::MOST]]);
    }

    /** @param list<array{GoalTask, int}> $goals in any order; weights outside 1 to 3 are brought inside */
    public static function from(array $goals): self
    {
        $kept = [];
        foreach ($goals as [$goal, $weight]) {
            $kept[$goal->key] ??= [$goal, max(self::LEAST, min(self::MOST, $weight))];
        }
        $kept = array_values($kept);
        usort(
            $kept,
            static fn (array $a, array $b): int => [$b[1], $a[0]->key] <=> [$a[1], $b[0]->key],
        );

        return new self($kept);
    }

    /**
     * @param list<GoalTask>     $tasks   that there are
     * @param array<string, int> $weights by key; tasks without one are left out
     */
    public static function chosen(array $tasks, array $weights): self
    {
        $goals = [];
        foreach ($tasks as $task) {
            if (isset($weights[$task->key])) {
                $goals[] = [$task, $weights[$task->key]];
            }
        }

        return self::from($goals);
    }

    public function isEmpty(): bool
    {
        return [] === $this->goals;
    }

    /** How much a ladder leads to them, where one goal alone counts as much as the heaviest of several. */
    public function weightOf(string $ladderKey): float
    {
        $most = $this->goals[0][1] ?? 1;

        return array_sum(
            array_map(
                static fn (array $g): float => $g[1] * (
                    $g[0]->ladderWeights[$ladderKey] ?? 0
                ) / $most,
                $this->goals,
            ),
        );
    }

    /** The most that any one of them asks of a ladder, 0 to 5; one that matters less beside others asks less. */
    public function highestFor(string $ladderKey): int
    {
        $most = $this->goals[0][1] ?? 1;

        return (int) round(max([0, ...array_map(
            static fn (array $g): float => $g[1] * ($g[0]->ladderWeights[$ladderKey] ?? 0) / $most,
            $this->goals,
        )]));
    }

    /** @return list<string> labels of the goals that a ladder leads to */
    public function servedBy(string $ladderKey): array
    {
        return array_values(
            array_map(
                static fn (array $g): string => $g[0]->label,
                array_filter(
                    $this->goals,
                    static fn (array $g): bool => ($g[0]->ladderWeights[$ladderKey] ?? 0) > 0,
                ),
            ),
        );
    }
}
