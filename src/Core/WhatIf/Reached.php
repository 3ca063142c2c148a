<?php

declare(strict_types=1);

namespace HandGarden\Core\WhatIf;

use HandGarden\Core\Catalogue\Rung;

/** A rung of a stem, and the day from which the rules would propose it. */
final readonly class Reached
{
    /** @param ?\DateTimeImmutable $from null: not within the weeks looked at */
    public function __construct(
        public Rung $rung,
        public ?\DateTimeImmutable $from,
    ) {
    }
}
