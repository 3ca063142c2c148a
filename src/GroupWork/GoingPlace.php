<?php

declare(strict_types=1);

namespace HandGarden\GroupWork;

use HandGarden\Core\GroupWork\Version;
use HandGarden\Sitting\SittingItem;

/** How it goes at one place of a class. */
final readonly class GoingPlace
{
    /**
     * @param list<SittingItem> $items    of its sitting, in their order
     * @param bool              $isCalled something was wrong, and nobody has come yet
     * @param bool              $hasEnded what was wrong ended it for today
     */
    public function __construct(
        public RunPlace $place,
        public array $items,
        public bool $isCalled,
        public bool $hasEnded,
    ) {
    }

    public function told(): int
    {
        return \count(array_filter($this->items, static fn (SittingItem $i): bool => null !== $i->told));
    }

    /**
     * What the place does with each exercise of the wall.
     *
     * @return list<?SittingItem> null: it rests
     */
    public function byExercise(): array
    {
        $items = $this->items;
        $does = [];
        foreach (CardFormat::read($this->place->card) as $one) {
            $does[] = Version::Rest === $one['version'] ? null : array_shift($items);
        }

        return $does;
    }
}
