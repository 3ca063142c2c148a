<?php

declare(strict_types=1);

namespace HandGarden\Planning;

/** Who prescribes, when, and on which proposal. */
final readonly class Prescribing
{
    /** @param string $proposalKey empty: none */
    public function __construct(
        public string $staffId,
        public \DateTimeImmutable $at,
        public string $proposalKey = '',
    ) {
    }
}
