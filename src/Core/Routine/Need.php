<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Words\Phrase;

/** Something that has to stand earlier in the sitting than an item. */
final readonly class Need
{
    /**
     * @param string               $key   the same for needs that the same items meet
     * @param \Closure(Item): bool $metBy
     */
    public function __construct(
        public string $key,
        public Phrase $words,
        private \Closure $metBy,
    ) {
    }

    public function isMetBy(Item $earlier): bool
    {
        return ($this->metBy)($earlier);
    }

    /** @param list<Item> $before */
    public function isMet(array $before): bool
    {
        foreach ($before as $earlier) {
            if ($this->isMetBy($earlier)) {
                return true;
            }
        }

        return false;
    }
}
