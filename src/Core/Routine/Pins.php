<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\SittingRole;

/**
 * Binds the candidates to what a therapist wants in: options with it, or an item of its own at its place in the
 * order.
 */
final readonly class Pins
{
    /** @param list<Item> $pinned */
    public function __construct(
        private Catalogue $catalogue,
        private array $pinned,
    ) {
    }

    /**
     * @param list<OptionGroup> $groups in the order of a sitting
     *
     * @return list<OptionGroup>
     */
    public function bind(array $groups): array
    {
        foreach ($this->pinned as $item) {
            $bound = false;
            foreach ($groups as $i => $group) {
                $with = array_values(
                    array_filter(
                        $group->options,
                        static fn (Option $o): bool => $o->has($item->key()),
                    ),
                );
                if ([] !== $with) {
                    $groups[$i] = new OptionGroup($group->label, $with, true);
                    $bound = true;
                    break;
                }
            }
            if (!$bound) {
                array_splice(
                    $groups,
                    $this->placeOf($item, $groups),
                    0,
                    [new OptionGroup($item->rung->name, [new Option([$item])], true)],
                );
            }
        }

        return $groups;
    }

    /** @param list<OptionGroup> $groups */
    private function placeOf(Item $item, array $groups): int
    {
        foreach ($groups as $i => $group) {
            if ($this->rank($group->options[0]->items[0]) > $this->rank($item)) {
                return $i;
            }
        }

        return \count($groups);
    }

    /** @return array{int, int} warm-up, the ladders in their order, closing */
    private function rank(Item $item): array
    {
        $ladders = array_map(static fn ($l): string => $l->key, $this->catalogue->ladders());
        $part = match ($item->rung->sitting->role) {
            SittingRole::WarmUp => 0,
            SittingRole::CoolDown => 2,
            default => 1,
        };

        return [
            $part,
            (int) array_search($this->catalogue->ladderOf($item->rung->id)->key, $ladders, true),
        ];
    }
}
