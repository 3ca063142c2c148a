<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

/** What a therapist decided about an item: it stays in whatever else is built around it. */
final readonly class Kept
{
    /**
     * @param string  $note   why it is in, or what was changed
     * @param ?string $after  key of the item it was moved behind, empty for the very first; null: at its usual place
     * @param ?\DateTimeImmutable $openedOn day of the note that sets aside what speaks against it
     * @param string  $forced why it stays although a rule of the sitting is not kept; empty: no rule was set aside
     */
    public function __construct(
        public string $note = '',
        public ?string $after = null,
        public string $forced = '',
        public ?\DateTimeImmutable $openedOn = null,
    ) {
    }

    public function moved(string $after): self
    {
        return new self($this->note, $after, $this->forced, $this->openedOn);
    }

    public function forcedBecause(string $because): self
    {
        return new self($this->note, $this->after, $because, $this->openedOn);
    }
}
