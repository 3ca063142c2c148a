<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Anatomy\ArmPart;

/** Which parts an exercise moves, stretches, loads and pulls. */
final readonly class Works
{
    /** @param array<string, list<ArmPart>> $parts by the value of a WorkKind */
    public function __construct(
        private array $parts,
    ) {
    }

    /** @return list<ArmPart> */
    public function parts(WorkKind ...$kinds): array
    {
        $parts = [];
        foreach ($kinds as $kind) {
            array_push($parts, ...$this->parts[$kind->value] ?? []);
        }

        return array_values(array_filter(
            ArmPart::cases(),
            static fn (ArmPart $part): bool => \in_array($part, $parts, true),
        ));
    }

    /** @return list<ArmPart> that it stretches, loads or pulls; where it does none of these, that it moves */
    public function strained(): array
    {
        $strained = $this->parts(WorkKind::Stretches, WorkKind::Loads, WorkKind::Pulls);

        return [] === $strained ? $this->parts(WorkKind::Moves) : $strained;
    }

    public function doesWith(ArmPart $part, WorkKind ...$kinds): bool
    {
        return \in_array($part, $this->parts(...$kinds), true);
    }
}
