<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Words\Phrase;

final readonly class FitsTheEffort implements SittingRule
{
    use NeedsNothing;

    private const ROUNDING = 1e-9;

    public function __construct(
        private Limits $limits,
    ) {
    }

    public function broken(array $items): array
    {
        $words = $this->words('sitting_rule.over_effort', $items);

        return null === $words ? [] : [new BrokenRule('over-effort', $words)];
    }

    public function leftOut(array $chosen, array $missing): ?Phrase
    {
        return $this->words('left_out.effort', [...$chosen, ...$missing]);
    }

    /** @param list<Item> $items */
    private function words(string $code, array $items): ?Phrase
    {
        $effort = (new Sequence($items))->effort();
        $budget = $this->limits->effortBudget();

        return $effort > $budget + self::ROUNDING
            ? new Phrase($code, ['effort' => round($effort), 'budget' => round($budget)])
            : null;
    }
}
