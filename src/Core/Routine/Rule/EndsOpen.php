<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Words\Phrase;

/** Something keeps the hand open as it cools at the end. */
final readonly class EndsOpen implements SittingRule
{
    use LeavesNothingOut;
    use NeedsNothing;

    public function broken(array $items): array
    {
        foreach ($items as $item) {
            if ($item->isCoolDown()) {
                return [];
            }
        }

        return [new BrokenRule('no-cool-down', new Phrase('sitting_rule.no_cool_down'))];
    }
}
