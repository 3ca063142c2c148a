<?php

declare(strict_types=1);

namespace HandGarden\Library;

use Doctrine\ORM\EntityManagerInterface;
use HandGarden\Core\Catalogue\ExerciseFilter;

/** The clinic's own exercises in the database; every question names the clinic. */
final readonly class OwnExercises
{
    private const MOST_SHOWN = 24;

    public function __construct(
        private EntityManagerInterface $entities,
    ) {
    }

    public function version(string $clinicId, string $key, int $version): ?OwnExercise
    {
        return $this->entities->getRepository(OwnExercise::class)->findOneBy(
            ['clinicId' => $clinicId, 'key' => $key, 'version' => $version],
        );
    }

    public function newest(string $clinicId, string $key): ?OwnExercise
    {
        return $this->entities->getRepository(OwnExercise::class)->findOneBy(
            ['clinicId' => $clinicId, 'key' => $key, 'isNewest' => true],
        );
    }

    /** @return list<OwnExercise> newest versions that are not archived, by name */
    public function current(string $clinicId): array
    {
        return $this->entities->getRepository(OwnExercise::class)->findBy(
            ['clinicId' => $clinicId, 'isNewest' => true, 'archived' => false],
            ['name' => 'ASC', 'key' => 'ASC'],
            self::MOST_SHOWN,
        );
    }

    /**
     * What the filters leave, by name; the database looks through what was put down when the exercise was kept.
     *
     * @return array{list<OwnExercise>, int} the first of them, and how many there are
     */
    public function find(string $clinicId, ExerciseFilter $filter): array
    {
        $where = ['clinic_id = :clinic', 'is_newest', 'NOT archived'];
        $values = ['clinic' => $clinicId];
        foreach ($filter->words as $i => $word) {
            $where[] = "text ~ :w$i";
            $values["w$i"] = '\m'.preg_quote($word);
        }
        $wanted = [
            'conditions' => $filter->condition?->value,
            'performers' => $filter->performer?->value,
            'loads' => $filter->loads,
        ];
        foreach (array_filter($wanted, \is_string(...)) as $facet => $value) {
            $where[] = "facets @> :$facet";
            $values[$facet] = json_encode([$facet => [$value]], \JSON_THROW_ON_ERROR);
        }
        foreach (
            array_filter(
                ['posture' => $filter->posture?->value, 'strand' => $filter->strand?->value],
                \is_string(...),
            ) as $facet => $value
        ) {
            $where[] = "facets ->> '$facet' = :$facet";
            $values[$facet] = $value;
        }
        if (null !== $filter->materials) {
            $where[] = "facets -> 'materials' <@ :materials";
            $values['materials'] = json_encode($filter->materials, \JSON_THROW_ON_ERROR);
        }
        if (null !== $filter->minutes) {
            $where[] = 'seconds <= :seconds';
            $values['seconds'] = 60 * $filter->minutes;
        }
        $rows = $this->entities->getConnection()->fetchAllAssociative(
            'SELECT id, COUNT(*) OVER () AS found FROM own_exercise WHERE '
                .implode(' AND ', $where)
                .' ORDER BY name, key LIMIT '
                .self::MOST_SHOWN,
            $values,
        );
        $byId = [];
        foreach (
            [] === $rows
                ? []
                : $this->entities->getRepository(OwnExercise::class)->findBy(
                    ['id' => array_column($rows, 'id')],
                ) as $one
        ) {
            $byId[$one->id] = $one;
        }
        $found = $rows[0]['found'] ?? 0;

        return [
            array_values(
                array_filter(
                    array_map(
                        static fn (array $row): ?OwnExercise => \is_string(
                            $row['id'],
                        ) ? $byId[$row['id']] ?? null : null,
                        $rows,
                    ),
                ),
            ),
            \is_int($found) ? $found : 0,
        ];
    }

    /** A new version takes the place of the one before, which stays for the routines built with it. */
    public function keep(OwnExercise $exercise): void
    {
        $before = $this->newest($exercise->clinicId, $exercise->key);
        if (null !== $before) {
            $before->isNewest = false;
        }
        $this->entities->persist($exercise);
        $this->entities->flush();
    }

    public function save(): void
    {
        $this->entities->flush();
    }
}
