<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Core\Anatomy\Side;
use HandGarden\Core\Catalogue\Technique;

/** What is taught with one technique for one hand of a client. */
final readonly class TaughtWork
{
    /**
     * @param array<string, string> $names of exercises and parts of tasks, by `id|side`
     * @param array<string, string> $doses in words of what stands in a routine, by `id|side`; also of others
     */
    public function __construct(
        public Technique $technique,
        public Side $side,
        public array $names,
        private array $doses,
    ) {
    }

    /** Empty: it does not stand in a routine. */
    public function dose(string $key): string
    {
        return $this->doses[$key] ?? '';
    }

    public function isPlanned(): bool
    {
        return [] !== array_intersect_key($this->names, $this->doses);
    }
}
