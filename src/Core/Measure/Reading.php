<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure;

use HandGarden\Core\Anatomy\Side;

/**
 * One thing known about the client on a day: a measurement, an observation or a try-out.
 * The value is a number in the unit of its code (grades as ranks), true or false for an observation, or a word for a
 * try-out. `null` is 'as usual': looked at and unremarkable, without a number.
 */
final readonly class Reading
{
    public function __construct(
        public string $code,
        public ?Side $side,
        public ?Mode $mode,
        public ?string $argument,
        public float|bool|string|null $value,
        public \DateTimeImmutable $on,
        public bool $byEye = false,
        public ?Taken $taken = null,
    ) {
    }

    public function with(Taken $taken): self
    {
        return new self(
            $this->code,
            $this->side,
            $this->mode,
            $this->argument,
            value: $this->value,
            on: $this->on,
            byEye: $this->byEye,
            taken: $taken,
        );
    }

    public function isOf(
        string $code,
        ?Side $side,
        ?Mode $mode = null,
        ?string $argument = null,
    ): bool {
        return $this->code === $code
            && $this->side === $side
            && $this->mode === $mode
            && $this->argument === $argument;
    }
}
