<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

final readonly class Ladder
{
    /**
     * @param non-empty-list<Rung> $rungs easiest first
     * @param list<LadderPart>     $parts
     * @param ?int                 $letsGo its standing rung lets go and may stand after a grip; 1 is tried first
     */
    public function __construct(
        public string $key,
        public Strand $strand,
        public string $name,
        public LadderKind $kind,
        public string $entryWords,
        public string $moveUpWords,
        public string $easeWords,
        public ?string $insteadBelow,
        public int $rounds,
        public array $rungs,
        public array $parts = [],
        public ?int $letsGo = null,
    ) {
    }

    /** Every rung is done by both hands together or by one certain hand, so that it is placed once. */
    public function isForBothHandsOnly(): bool
    {
        return Strand::Settle === $this->strand
            || [] === array_filter(
                $this->rungs,
                static fn (Rung $rung): bool => !$rung->fit->doneOn->isPlacedOnce(),
            );
    }

    public function plays(LadderPart $part): bool
    {
        return \in_array($part, $this->parts, true);
    }

    /** A ladder that leads somewhere, unlike warm-up, mobilizing and closing items. */
    public function isTrained(): bool
    {
        return !\in_array($this->kind, [LadderKind::Menu, LadderKind::Protocol], true)
            && !\in_array($this->strand, [Strand::Settle, Strand::Sensory, Strand::Mobilize], true);
    }

    /** 1 for the easiest rung; null when the rung is of another ladder. */
    public function positionOf(string $rungId): ?int
    {
        foreach ($this->rungs as $i => $rung) {
            if ($rung->id === $rungId) {
                return $i + 1;
            }
        }

        return null;
    }

    /** Null when it is of another ladder. */
    public function rung(string $id): ?Rung
    {
        $position = $this->positionOf($id);

        return null === $position ? null : $this->rungs[$position - 1];
    }

    /**
     * @param list<Condition> $conditions
     *
     * @return list<Rung>
     */
    public function fittingRungs(array $conditions): array
    {
        return array_values(
            array_filter($this->rungs, static fn (Rung $rung): bool => $rung->fit->suits($conditions)),
        );
    }
}
