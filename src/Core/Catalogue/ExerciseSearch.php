<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Finds exercises by words and filters; best match first, then in the order of the catalogue. */
final readonly class ExerciseSearch
{
    /** @param list<IndexedExercise> $index */
    public function __construct(
        public array $index,
    ) {
    }

    public static function over(Catalogue $catalogue): self
    {
        $index = [];
        foreach ($catalogue->ladders() as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $index[] = IndexedExercise::from($ladder, $rung, $catalogue->handbook());
            }
        }

        return new self($index);
    }

    /** @return list<IndexedExercise> */
    public function find(ExerciseFilter $filter): array
    {
        $found = [];
        foreach ($this->index as $exercise) {
            $score = $exercise->passes($filter) ? $exercise->score($filter->words) : 0;
            if ($score > 0) {
                $found[] = [$score, $exercise];
            }
        }
        usort(
            $found,
            static fn (array $a, array $b): int => $b[0] <=> $a[0],
        ); // stable: equal ones keep their order

        return array_column($found, 1);
    }

    /** @return list<string> muscle groups that some exercise loads */
    public function muscles(): array
    {
        $groups = array_unique(
            array_merge(
                ...array_map(static fn (IndexedExercise $e): array => $e->loads, $this->index),
            ),
        );
        sort($groups);

        return $groups;
    }

    /** @return list<string> */
    public static function wordsIn(string $typed): array
    {
        preg_match_all('/[\pL\pN]+/u', mb_strtolower($typed), $found);

        return \array_slice($found[0], 0, 8);
    }
}
