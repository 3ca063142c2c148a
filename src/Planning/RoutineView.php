<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Routine\BrokenRule;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\Limits;
use HandGarden\Core\Routine\Sequence;
use HandGarden\Core\Routine\WhatBinds;
use HandGarden\Core\Words\Phrase;

/** A routine as pages show it: items with their times, the meters and the rules that are not kept. */
final readonly class RoutineView
{
    public int $seconds;
    public float $effort;
    public float $extensionSeconds;
    public float $gripSeconds;

    /** What keeps it from being longer. */
    public Phrase $binds;

    /** @var list<int> seconds that each item adds where it stands */
    public array $times;

    /**
     * @param list<Item>       $items
     * @param list<BrokenRule> $broken
     */
    public function __construct(
        public array $items,
        public array $broken,
        public int $allowedSeconds,
        public float $effortBudget,
        public Side $worse,
        Limits $limits,
    ) {
        $this->binds = WhatBinds::on($items, $limits);
        $sequence = new Sequence($items);
        $this->times = $sequence->times();
        $this->seconds = array_sum($this->times);
        $this->effort = $sequence->effort();
        $this->extensionSeconds = $sequence->balance()->extensionSeconds;
        $this->gripSeconds = $sequence->balance()->flexionSeconds;
    }

    /** @return list<Phrase> */
    public function problemsOf(int $item): array
    {
        return array_values(
            array_map(
                static fn (BrokenRule $b): Phrase => $b->words,
                array_filter($this->broken, static fn (BrokenRule $b): bool => $b->item === $item),
            ),
        );
    }

    /** @return list<Phrase> */
    public function problemsOfTheWhole(): array
    {
        return array_values(
            array_map(
                static fn (BrokenRule $b): Phrase => $b->words,
                array_filter($this->broken, static fn (BrokenRule $b): bool => null === $b->item),
            ),
        );
    }

    public function hasKept(): bool
    {
        return [] !== array_filter($this->items, static fn (Item $i): bool => null !== $i->kept);
    }

    public function shown(Item $item): Side
    {
        return $item->hands->shown($this->worse);
    }
}
