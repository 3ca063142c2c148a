<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** A therapist's own choice of rung beside the computed one; never over a screening block. */
final readonly class Override
{
    public function __construct(
        public string $ladderKey,
        public Side $side,
        public string $rungId,
        public string $note,
    ) {
    }
}
