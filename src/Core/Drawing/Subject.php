<?php

declare(strict_types=1);

namespace HandGarden\Core\Drawing;

/** What a picture is of: a hand in a pose, or a whole figure. */
interface Subject
{
    public function scene(): Scene;

    /** Flesh and places only, without marks on the skin: for the way between two poses. */
    public function outline(): Scene;

    /** Every angle linear between this one and another of the same kind. */
    public function towards(self $other, float $share): self;

    /** About which the way is pushed outward. */
    public function pivot(): string;

    /** Turn of the camera about the long axis, in degrees. */
    public function turnDegrees(): float;

    /** @return array<string, mixed> everything that decides how it looks */
    public function toArray(): array;
}
