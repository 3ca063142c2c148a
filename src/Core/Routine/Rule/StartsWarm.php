<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Words\Phrase;

/** A sitting starts with something that warms or calms. */
final readonly class StartsWarm implements SittingRule
{
    use LeavesNothingOut;
    use NeedsNothing;

    public function broken(array $items): array
    {
        foreach ($items as $item) {
            if ($item->isWarmUp()) {
                return [];
            }
        }

        return [new BrokenRule('no-warm-up', new Phrase('sitting_rule.no_warm_up'))];
    }
}
