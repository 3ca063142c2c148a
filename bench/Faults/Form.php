<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

/** A form that two may send at once. */
final readonly class Form
{
    /**
     * @param string               $page    where it stands
     * @param string               $shown   which of the forms there, or a field of it
     * @param ?string              $goesTo  null: to the page itself
     * @param array<string, mixed> $typed   by the first; % is the number of the round
     * @param array<string, mixed> $other   by the second, over that
     * @param string               $counted SQL of what it adds
     * @param int                  $adds    how much one sending adds; -1: not counted beforehand
     * @param OfTwo                $ofTwo   what becomes of two people who send it at once
     */
    public function __construct(
        public string $name,
        public string $page,
        public string $counted,
        public string $shown = 'main form:not(.note)',
        public ?string $goesTo = null,
        public array $typed = [],
        public array $other = [],
        public int $adds = 1,
        public OfTwo $ofTwo = OfTwo::BothAdd,
    ) {
    }

    public function address(): string
    {
        return $this->goesTo ?? $this->page;
    }
}
