<?php

declare(strict_types=1);

namespace HandGarden\Core\Condition;

use HandGarden\Core\Anatomy\Side;

/** What conditions of several parts do alike, whichever way the parts are joined. */
trait OfParts
{
    /** @param non-empty-list<Condition> $parts */
    public function __construct(
        public readonly array $parts,
    ) {
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

    /** @return non-empty-list<Verdict> */
    private function verdicts(FactSource $facts, Side $side): array
    {
        return array_map(
            static fn (Condition $part): Verdict => $part->judge($facts, $side),
            $this->parts,
        );
    }
}
