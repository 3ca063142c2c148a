<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;

/** An exercise with the dose at which it goes on, or at which it was held last. */
final readonly class KeptDose
{
    /**
     * @param non-empty-list<Fact> $facts    the routine that it stands in, or the last sittings in which it was held
     * @param int        $heldDays on which it was done as prescribed
     */
    public function __construct(
        public Phrase|string $name,
        public string $hands,
        public Joined $dose,
        public array $facts,
        public int $heldDays = 0,
    ) {
    }
}
