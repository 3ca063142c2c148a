<?php

declare(strict_types=1);

namespace HandGarden\Core\Measure\Finding;

use HandGarden\Core\Anatomy\Side;

/** An explained statement about a hand; not a diagnosis. */
final readonly class Finding
{
    /**
     * @param list<string> $because     the numbers behind it
     * @param list<string> $needs       codes (with argument after a colon) that are missing
     * @param string       $meaning     what to do with it
     * @param string       $wouldChange what would turn it round
     */
    public function __construct(
        public string $key,
        public Side $side,
        public State $state,
        public string $title,
        public array $because,
        public array $needs = [],
        public string $meaning = '',
        public string $wouldChange = '',
    ) {
    }

    public function isFound(): bool
    {
        return State::Found === $this->state;
    }
}
