<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

use HandGarden\Core\Anatomy\ArmPart;
use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Words\Phrase;

/** Something of which nothing grows for now. */
final readonly class Held
{
    /** @param ?ArmPart $part null: everything */
    public function __construct(
        public ?ArmPart $part,
        public ?Side $side,
        public Phrase $why,
    ) {
    }

    public function concerns(Prescribed $item): bool
    {
        return null === $this->part
            || (
                \in_array($this->part, WorkedParts::of($item->rung), true)
                && (null === $this->side || $item->hands->covers($this->side))
            );
    }
}
