<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Words\Phrase;

final readonly class FewItemsAtHome implements SittingRule
{
    use NeedsNothing;

    public function __construct(
        private Limits $limits,
    ) {
    }

    public function broken(array $items): array
    {
        $count = (new Sequence($items))->homeItems();

        return $count > $this->limits->homeItems
            ? [
                new BrokenRule(
                    'too-many-items',
                    new Phrase(
                        'sitting_rule.too_many_items',
                        ['count' => $count, 'most' => $this->limits->homeItems],
                    ),
                ),
            ]
            : [];
    }

    public function leftOut(array $chosen, array $missing): ?Phrase
    {
        return (new Sequence([...$chosen, ...$missing]))->homeItems() > $this->limits->homeItems
            ? new Phrase('left_out.items', ['most' => $this->limits->homeItems])
            : null;
    }
}
