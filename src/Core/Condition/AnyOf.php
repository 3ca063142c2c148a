<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

final readonly class AnyOf implements Condition
{
    use OfParts;

    public function judge(FactSource $facts, Side $side): Verdict
    {
        return Verdict::anyOf($this->verdicts($facts, $side));
    }

    public function __toString(): string
    {
        return implode(' or ', array_map(strval(...), $this->parts));
    }
}
