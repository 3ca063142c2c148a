<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** Exercises that are not in the files: a clinic's own, found by their id with its version. */
interface MoreRungs
{
    /** @return array{Ladder, Rung}|null */
    public function find(string $id): ?array;
}
