<?php

declare(strict_types=1);

namespace HandGarden\Core\Placement;

use HandGarden\Core\Anatomy\Side;

/** A therapist's own choice of rung beside the computed one; never over a screening block. */
final readonly class Override
{
    /** Days for which a note holds that sets something aside. */
    public const NOTE_DAYS = 14;

    public function __construct(
        public string $ladderKey,
        public Side $side,
        public string $rungId,
        public string $note,
        public ?\DateTimeImmutable $on = null,
    ) {
    }

    /** The note has lost its force over what is known to speak against the rung. */
    public function isOver(\DateTimeImmutable $today): bool
    {
        return null !== $this->on && $this->on->modify('+'.self::NOTE_DAYS.' days') < $today;
    }
}
