<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Steadiness;

/** Samples without a gap, one list for each axis. */
final readonly class Stretch
{
    /**
     * @param list<float> $x
     * @param list<float> $y
     * @param list<float> $z
     */
    public function __construct(
        public array $x,
        public array $y,
        public array $z,
    ) {
    }

    /** @param list<array{float, float, float}> $samples */
    public static function from(array $samples): self
    {
        return new self(
            array_column($samples, 0),
            array_column($samples, 1),
            array_column($samples, 2),
        );
    }

    public function length(): int
    {
        return \count($this->x);
    }
}
