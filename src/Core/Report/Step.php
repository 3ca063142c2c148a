<?php

declare(strict_types=1);

namespace HandGarden\Core\Report;

use HandGarden\Core\Words\Joined;
use HandGarden\Core\Words\Phrase;

/** A dose of record that took the place of the one before. */
final readonly class Step
{
    /** @param ?string $decisionKey that it rests on; null: it was set */
    public function __construct(
        public string $doseId,
        public string $name,
        public Phrase|Joined $from,
        public Phrase|Joined $to,
        public \DateTimeImmutable $on,
        public ?string $decisionKey,
    ) {
    }

    /** @return non-empty-list<Fact> */
    public function facts(): array
    {
        return [
            new Fact(FactKind::Dose, $this->doseId),
            ...(null === $this->decisionKey ? [] : [new Fact(FactKind::Decision, $this->decisionKey)]),
        ];
    }
}
