<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Phrase;

/** Something that was told and had to be answered. */
final readonly class Incident
{
    /** @param ?\DateTimeImmutable $answeredOn null: nobody has answered it yet */
    public function __construct(
        public string $alertId,
        public Phrase $why,
        public \DateTimeImmutable $on,
        public ?\DateTimeImmutable $answeredOn,
    ) {
    }

    public function fact(): Fact
    {
        return new Fact(FactKind::Alert, $this->alertId);
    }
}
