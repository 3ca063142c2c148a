<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

use HandGarden\Core\Condition\Condition;

/** Something that bars a rung while its condition is true; without a condition it is a note shown at set-up. */
final readonly class Caution
{
    /**
     * @param string $key    of the caution or of the gate it comes from
     * @param bool   $byNote a therapist may set it aside for one client with a note
     */
    public function __construct(
        public string $phrase,
        public ?Condition $blocksWhile,
        public string $key = '',
        public bool $byNote = false,
    ) {
    }

    public function while(Condition $blocksWhile): self
    {
        return new self($this->phrase, $blocksWhile, $this->key, $this->byNote);
    }
}
