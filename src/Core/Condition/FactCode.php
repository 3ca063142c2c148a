<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** What a condition asks for: a code, for some with an argument, such as an angle or a rung. */
final readonly class FactCode
{
    public function __construct(
        public string $code,
        public ?string $argument = null,
    ) {
    }

    /** What arrays are keyed by; without a side where the fact is one of the whole person. */
    public function text(?Side $side = null): string
    {
        return $this->code.'|'.$this->argument.'|'.($side->value ?? '');
    }
}
