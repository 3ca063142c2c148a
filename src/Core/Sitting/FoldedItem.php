<?php

declare(strict_types=1);

namespace HandGarden\Core\Sitting;

use HandGarden\Core\Progress\Told;

/** What all events of one item say together. */
final readonly class FoldedItem
{
    /**
     * @param \DateTimeImmutable $day on which it was first told of
     */
    public function __construct(
        public Told $told,
        public \DateTimeImmutable $day,
        public \DateTimeImmutable $at,
    ) {
    }
}
