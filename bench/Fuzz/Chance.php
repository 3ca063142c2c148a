<?php

declare(strict_types=1);

namespace HandGarden\Bench\Fuzz;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance that can be repeated: the same seed gives the same choices. */
final readonly class Chance
{
    private Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    public function below(int $most): int
    {
        return $most < 2 ? 0 : $this->randomizer->getInt(0, $most - 1);
    }

    public function oneIn(int $times): bool
    {
        return 0 === $this->below($times);
    }

    /**
     * @template T
     *
     * @param non-empty-list<T> $things
     *
     * @return T
     */
    public function of(array $things): mixed
    {
        return $things[$this->below(\count($things))];
    }
}
