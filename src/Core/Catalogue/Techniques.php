<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** What helpers are taught. */
final readonly class Techniques
{
    /**
     * @param array<string, Technique> $all      by key
     * @param array<string, string>    $common   points of each of them, by key
     * @param list<string>             $anywhere lines that go with each of them
     */
    public function __construct(
        public array $all,
        public array $common,
        public array $anywhere,
    ) {
    }

    public function find(string $key): ?Technique
    {
        return $this->all[$key] ?? null;
    }

    /** @param string $id of an exercise, or of a part of a task as `task.part` */
    public function of(string $id): ?Technique
    {
        foreach ($this->all as $technique) {
            if (\in_array($id, $technique->ids, true)) {
                return $technique;
            }
        }

        return null;
    }

    /** @return array<string, string> every point that is looked for, by key: the common ones first */
    public function points(Technique $technique): array
    {
        return $this->common + $technique->points;
    }
}
