<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** A step up, or a change to the next exercise, that a therapist accepted. */
final readonly class StepTaken
{
    /** @param string $itemKey of the item that was made harder, or was left for the next */
    public function __construct(
        public string $itemKey,
        public \DateTimeImmutable $day,
    ) {
    }
}
