<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\Balance;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** A hand that is tight or curls opens more than it closes. */
final readonly class TightHandOpensMore implements SittingRule
{
    use LeavesNothingOut;
    use NeedsNothing;

    /** Seconds of opening work for each second of gripping. */
    public const BALANCE = 1.5;
    private const ROUNDING = 1e-9;

    public function __construct(
        private HandsAtWork $hands,
    ) {
    }

    public function broken(array $items): array
    {
        $balance = Balance::from($items);
        $enough = self::BALANCE * $balance->flexionSeconds - self::ROUNDING;
        if (!$this->tightHandGrips($items) || $balance->extensionSeconds >= $enough) {
            return [];
        }

        return [
            new BrokenRule(BrokenRule::TOO_LITTLE_OPENING, new Phrase('sitting_rule.too_little_opening', [
                'times' => self::BALANCE,
                'opening' => round($balance->extensionSeconds),
                'gripping' => round($balance->flexionSeconds),
            ])),
        ];
    }

    /** @param list<Item> $items */
    private function tightHandGrips(array $items): bool
    {
        foreach ($items as $item) {
            if ($item->grips() && $this->hands->isTight($item)) {
                return true;
            }
        }

        return false;
    }
}
