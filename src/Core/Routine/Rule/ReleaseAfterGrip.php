<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine\Rule;

use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\HandsAtWork;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Words\Phrase;

/** Letting go is trained as often as gripping: directly after it, and in a tight hand after every single grip. */
final readonly class ReleaseAfterGrip implements SittingRule
{
    use LeavesNothingOut;
    use NeedsNothing;

    public function __construct(
        private HandsAtWork $hands,
    ) {
    }

    public function broken(array $items): array
    {
        $broken = [];
        foreach ($items as $at => $item) {
            $next = self::nextWork($items, $at);
            $code = match (true) {
                $this->hands->isGripping($item) && !$this->isFollowed($item, $next) => 'release-after-grip',
                $this->hands->isTight(
                    $item,
                ) && $item->grips() && true === $next?->grips() => 'release-between-grips',
                default => null,
            };
            if (null !== $code) {
                $broken[] = new BrokenRule(
                    $code,
                    new Phrase('sitting_rule.of_item', [
                        'item' => $item->rung->name,
                        'what' => new Phrase('sitting_rule.'.str_replace('-', '_', $code)),
                    ]),
                    $at,
                );
            }
        }

        return $broken;
    }

    /** By more of the same block, or by letting go. */
    private function isFollowed(Item $grip, ?Item $next): bool
    {
        return null !== $next && (
            (null !== $grip->block && $next->block === $grip->block)
            || $this->hands->letsGo($next, $grip)
        );
    }

    /** @param list<Item> $items */
    private static function nextWork(array $items, int $after): ?Item
    {
        for ($i = $after + 1; isset($items[$i]); ++$i) {
            if (!$items[$i]->isPause) {
                return $items[$i];
            }
        }

        return null;
    }
}
