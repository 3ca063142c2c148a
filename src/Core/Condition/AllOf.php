<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

final readonly class AllOf implements Condition
{
    /** @param non-empty-list<Condition> $parts */
    public function __construct(
        public array $parts,
    ) {
    }

    public function judge(FactSource $facts, Side $side): Verdict
    {
        return Verdict::allOf(
            array_map(
                static fn (Condition $part): Verdict => $part->judge($facts, $side),
                $this->parts,
            ),
        );
    }

    public function atoms(): array
    {
        return array_merge(
            ...array_map(static fn (Condition $part): array => $part->atoms(), $this->parts),
        );
    }

    public function speakingOf(SidePrefix $prefix): self
    {
        return new self(
            array_map(
                static fn (Condition $part): Condition => $part->speakingOf($prefix),
                $this->parts,
            ),
        );
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
