<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Catalogue\Caution;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Condition\Finding;
use HandGarden\Core\Screening\ScreeningBlock;

/** Where one rung stands for one hand, and why. */
final readonly class RungPlacement
{
    /**
     * @param list<Finding>        $findings  the atoms that decide: all of an `in`, the failing ones of a `not
     *     yet`, the unknown ones of a `measure`
     * @param list<Caution>        $blockedBy cautions that are true
     * @param list<ScreeningBlock> $screening
     */
    public function __construct(
        public Rung $rung,
        public RungState $state,
        public array $findings = [],
        public array $blockedBy = [],
        public array $screening = [],
        public bool $ladderEndsBefore = false,
    ) {
    }

    public function isIn(): bool
    {
        return RungState::In === $this->state;
    }
}
