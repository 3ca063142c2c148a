<?php

declare(strict_types=1);

namespace HandGarden\Core\Routine;

use HandGarden\Core\Words\Phrase;

/** Why an exercise may not be given. */
final readonly class Refusal
{
    private function __construct(
        public Phrase $why,
        public bool $isByNote,
        public bool $isUnknown,
        public bool $isToShow = false,
    ) {
    }

    /** Nobody's note lifts it. */
    public static function closed(Phrase $why): self
    {
        return new self($why, false, false);
    }

    /** A therapist may set it aside for this client for a time, and says why. */
    public static function byNote(Phrase $why): self
    {
        return new self($why, true, false);
    }

    /** It is done beside a therapist first. */
    public static function toShow(): self
    {
        return new self(new Phrase('left_out.show_first'), true, false, isToShow: true);
    }

    /** It was not measured, or too long ago: a therapist who knows better says so. */
    public static function unknown(Phrase $why): self
    {
        return new self($why, true, true);
    }
}
