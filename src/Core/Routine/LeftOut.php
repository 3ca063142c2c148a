<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Placement\Performers;
use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Joint;
use HandGarden\Core\Words\Phrase;

/** Something that might have been in the routine, and why it is not. */
final readonly class LeftOut
{
    public function __construct(
        public Phrase|Joined $label,
        public Phrase $reason,
    ) {
    }

    public static function waiting(Item $item, Phrase $why): self
    {
        return new self(Joint::Comma->joining([$item->rung->name]), $why);
    }

    /** Somebody who helps has to be shown it; nobody else is waited for. */
    public function isForAHelper(): bool
    {
        return Performers::NOT_SIGNED === $this->reason->code;
    }
}
