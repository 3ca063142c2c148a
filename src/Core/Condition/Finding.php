<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** One atom with what was found for it: the smallest piece of a reason. */
final readonly class Finding
{
    public function __construct(
        public Atom $atom,
        public Side $side,
        public float|bool|string|null $found,
        public Truth $truth,
        public bool $negated = false,
    ) {
    }

    public function negate(): self
    {
        return new self(
            $this->atom,
            $this->side,
            $this->found,
            $this->truth->not(),
            negated: !$this->negated,
        );
    }

    /** A stable text such as `not curls` or `wrist_ext_hold_s>=5`. */
    public function text(): string
    {
        return ($this->negated ? 'not ' : '').$this->atom;
    }
}
