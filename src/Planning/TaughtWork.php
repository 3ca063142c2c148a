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
     * @param list<string>          $alone `id|side` of what goes on without a helper; also of others
     */
    public function __construct(
        public Technique $technique,
        public Side $side,
        public array $names,
        private array $doses,
        private array $alone,
    ) {
    }

    /** Empty: it does not stand in a routine. */
    public function dose(string $key): string
    {
        return $this->doses[$key] ?? '';
    }

    /** The own other hand does it while nobody is signed for it. */
    public function goesOnAlone(string $key): bool
    {
        return \in_array($key, $this->alone, true);
    }

    /** @return list<string> ids of those that are exercises */
    public function rungIds(): array
    {
        return array_values(array_filter(
            array_map(static fn (string $key): string => explode('|', $key)[0], array_keys($this->names)),
            static fn (string $id): bool => !str_contains($id, '.'),
        ));
    }

    public function isPlanned(): bool
    {
        return [] !== array_intersect_key($this->names, $this->doses);
    }
}
