<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\SittingRole;

/** What could stand in the place of an item: allowed now, of the same kind, and not in the routine yet. */
final class Swaps
{
    private const MOST = 6;

    /** @var array<string, Item> by key */
    private array $possible = [];

    public function __construct(
        private readonly Catalogue $catalogue,
        Brief $brief,
    ) {
        $free = $brief->withEdits(new Edits());
        foreach ((new Candidates($catalogue, $free))->groups() as $group) {
            foreach ($group->options as $option) {
                foreach ($option->items as $item) {
                    $this->possible[$item->key()] ??= $item;
                }
            }
        }
    }

    /**
     * @param list<Item> $routine
     *
     * @return list<Item> nearest first: same ladder's area, then the same part of the hand; more worth before less
     */
    public function for(Item $item, array $routine): array
    {
        $keys = array_map(static fn (Item $i): string => $i->key(), $routine);
        $found = array_filter(
            $this->possible,
            fn (Item $i): bool => !\in_array(
                $i->key(),
                $keys,
                true,
            ) && null === $i->block && $this->isLike($i, $item),
        );
        usort(
            $found,
            fn (Item $a, Item $b): int => [
                $this->sameArea($b, $item),
                $b->worth,
                $a->key(),
            ] <=> [$this->sameArea($a, $item), $a->worth, $b->key()],
        );

        return \array_slice($found, 0, self::MOST);
    }

    private function isLike(Item $one, Item $other): bool
    {
        if ($one->rung->sitting->role !== $other->rung->sitting->role) {
            return false;
        }

        return SittingRole::Main !== $one->rung->sitting->role
            || $this->sameArea($one, $other)
            || $one->rung->load->segment === $other->rung->load->segment;
    }

    private function sameArea(Item $one, Item $other): bool
    {
        return $this->catalogue
            ->ladderOf($one->rung->id)->strand === $this->catalogue
            ->ladderOf($other->rung->id)->strand;
    }
}
