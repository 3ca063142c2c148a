<?php

declare(strict_types=1);

namespace HandGarden\Core\WhatIf;

use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\Ladder;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Placement\RungPlacement;
use HandGarden\Core\Routine\ItemKey;

/** What the rules would propose for one item over the weeks, were it done as often as assumed. */
final readonly class StemPath
{
    /**
     * @param list<Reached>                                $reached  rungs it would come to, in order, with their
     *     first day
     * @param list<array{\DateTimeImmutable, Rung, Dose}>  $doses    every change of dose, the first is that of today
     * @param ?RungPlacement                               $waitsFor the next rung, whose own conditions have to
     *     be measured or met first; null: nothing waits
     */
    public function __construct(
        public Ladder $ladder,
        public Hands $hands,
        public Rung $start,
        public array $reached,
        public array $doses,
        public ?RungPlacement $waitsFor,
        public ?\DateTimeImmutable $waitsSince,
        public int $metDays,
    ) {
    }

    public function key(): string
    {
        return (new ItemKey($this->start->id, $this->hands))->text();
    }

    public function dayOf(string $rungId): ?\DateTimeImmutable
    {
        foreach ($this->reached as $reached) {
            if ($reached->rung->id === $rungId) {
                return $reached->from;
            }
        }

        return null;
    }
}
