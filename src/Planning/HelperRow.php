<?php

declare(strict_types=1);

namespace HandGarden\Planning;

/** One technique on one hand, as it stands with one helper. */
final readonly class HelperRow
{
    /** @param array<string, \DateTimeImmutable> $until the last day, by `id|side` of what is signed */
    public function __construct(
        public TaughtWork $work,
        public array $until,
        public ?Teaching $last,
    ) {
    }

    public function isWhole(): bool
    {
        return [] === array_diff_key($this->work->names, $this->until);
    }

    /** The day on which the first of it ends; null: nothing is signed. */
    public function endsOn(): ?\DateTimeImmutable
    {
        return [] === $this->until ? null : min($this->until);
    }

    /** What to practise; empty: it was signed since, or never shown. */
    public function practise(): string
    {
        return $this->last->practise ?? '';
    }
}
