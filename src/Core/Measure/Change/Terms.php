<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Change;

/** What readings of one client are compared under. */
final readonly class Terms
{
    /**
     * @param \DateTimeImmutable|null $injectedOn last tone injection; across it and between its phases nothing
     *     is compared
     */
    public function __construct(
        public ?\DateTimeImmutable $injectedOn = null,
        public Defaults $defaults = new Defaults(),
    ) {
    }
}
