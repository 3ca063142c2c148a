<?php

declare(strict_types=1);

namespace HandGarden\Core\Catalogue;

/** All ladders at hand. */
final class ReadyLadders implements Ladders
{
    /** @var array<string, Ladder> */
    private readonly array $byRung;

    /** @param list<Ladder> $ladders */
    public function __construct(
        private readonly array $ladders,
    ) {
        $byRung = [];
        foreach ($ladders as $ladder) {
            foreach ($ladder->rungs as $rung) {
                $byRung[$rung->id] = $ladder;
            }
        }
        $this->byRung = $byRung;
    }

    public function all(): array
    {
        return $this->ladders;
    }

    public function with(string $rungId): ?Ladder
    {
        return $this->byRung[$rungId] ?? null;
    }
}
