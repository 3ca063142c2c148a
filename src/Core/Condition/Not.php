<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

final readonly class Not implements Condition
{
    public function __construct(
        public Condition $part,
    ) {
    }

    public function judge(FactSource $facts, Side $side): Verdict
    {
        return $this->part->judge($facts, $side)->not();
    }

    public function atoms(): array
    {
        return $this->part->atoms();
    }

    public function speakingOf(SidePrefix $prefix): self
    {
        return new self($this->part->speakingOf($prefix));
    }

    public function __toString(): string
    {
        return 'not '.($this->part instanceof Atom ? (string) $this->part : '('.$this->part.')');
    }
}
