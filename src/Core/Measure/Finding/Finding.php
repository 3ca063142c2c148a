<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Words\Phrase;

/** An explained statement about a hand; not a diagnosis. */
final readonly class Finding
{
    /**
     * @param list<Phrase> $because     the numbers behind it
     * @param list<string> $needs       codes (with argument after a colon) that are missing
     * @param ?Phrase      $meaning     what to do with it
     * @param ?Phrase      $wouldChange what would turn it round
     */
    public function __construct(
        public string $key,
        public Side $side,
        public State $state,
        public Phrase $title,
        public array $because,
        public array $needs = [],
        public ?Phrase $meaning = null,
        public ?Phrase $wouldChange = null,
    ) {
    }

    public function isFound(): bool
    {
        return State::Found === $this->state;
    }
}
