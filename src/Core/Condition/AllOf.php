<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

final readonly class AllOf implements Condition
{
    use OfParts;

    public function judge(FactSource $facts, Side $side): Verdict
    {
        return Verdict::allOf($this->verdicts($facts, $side));
    }

    public function __toString(): string
    {
        return implode(
            ' and ',
            array_map(
                static fn (Condition $part): string => $part instanceof AnyOf ? '('.$part.')' : (string) $part,
                $this->parts,
            ),
        );
    }
}
