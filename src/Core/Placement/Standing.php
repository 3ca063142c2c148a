<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** Where a client stands on other ladders: some conditions ask for it. */
interface Standing
{
    /** Whether the client stands on a rung or a higher one of its ladder; null when that is not known. */
    public function stands(string $rungId, Side $side): ?bool;
}
