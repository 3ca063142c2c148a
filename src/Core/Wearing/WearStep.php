<?php

declare(strict_types=1);

namespace HandGarden\Core\Wearing;

/** How long something is worn at a time. */
final readonly class WearStep
{
    /** @param ?int $minutes null: as long as a walk, or a night */
    private function __construct(
        public ?int $minutes,
        public bool $isNight = false,
    ) {
    }

    public static function of(int $minutes): self
    {
        return new self($minutes);
    }

    public static function usualWalk(): self
    {
        return new self(null);
    }

    public static function night(): self
    {
        return new self(null, isNight: true);
    }
}
