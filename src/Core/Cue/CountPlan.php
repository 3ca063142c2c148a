<?php

declare(strict_types=1);

namespace HandGarden\Core\Cue;

/** What is counted in an exercise. */
final readonly class CountPlan
{
    /**
     * @param ?Counted      $button what the one big button counts; null: it only pauses
     * @param list<Counted> $needed what progress cannot do without
     * @param list<Counted> $also   what may be told
     */
    public function __construct(
        public ?Counted $button,
        public array $needed,
        public array $also,
    ) {
    }

    public function has(Counted $what): bool
    {
        return $this->button === $what || \in_array($what, [...$this->needed, ...$this->also], true);
    }
}
