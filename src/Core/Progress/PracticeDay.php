<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** One day on which something was done: of an item, a part or a client. The day's worst answer counts. */
final readonly class PracticeDay
{
    /** @param non-empty-list<LogLine> $lines in the order they were made */
    private function __construct(
        public \DateTimeImmutable $day,
        public array $lines,
    ) {
    }

    /**
     * @param list<LogLine> $lines oldest first; skipped ones make no day
     *
     * @return list<self> oldest first
     */
    public static function in(array $lines): array
    {
        $byDay = [];
        foreach ($lines as $line) {
            if (Outcome::Skipped !== $line->outcome) {
                $byDay[$line->day->format('Y-m-d')][] = $line;
            }
        }

        return array_values(array_map(
            static fn (array $of): self => new self($of[0]->day, $of),
            $byDay,
        ));
    }

    /**
     * @param list<self> $days
     *
     * @return list<LogLine>
     */
    public static function linesOf(array $days): array
    {
        return array_merge(...array_map(
            static fn (self $day): array => $day->lines,
            $days,
        ));
    }

    /** The worst pain told of this day, before or after; null: none was told. */
    public function pain(): ?int
    {
        $told = [];
        foreach ($this->lines as $line) {
            array_push($told, ...array_filter(
                [$line->painBefore, $line->painAfterCounted()],
                static fn (?int $p): bool => null !== $p,
            ));
        }

        return [] === $told ? null : max($told);
    }

    /** The most help that was told of, by rank; null: nobody told. */
    public function help(): ?int
    {
        $ranks = array_map(static fn (LogLine $l): ?int => $l->help?->rank(), $this->lines);
        $told = array_filter($ranks, static fn (?int $rank): bool => null !== $rank);

        return [] === $told ? null : max($told);
    }

    public function hasTrick(): bool
    {
        return [] !== array_filter(
            $this->lines,
            static fn (LogLine $l): bool => [] !== $l->compensations,
        );
    }

    public function isTighter(): bool
    {
        return [] !== array_filter(
            $this->lines,
            static fn (LogLine $l): bool => ToneAfter::Tighter === $l->tone,
        );
    }

    /** Whether it was said of one of them that day. */
    public function felt(Felt $felt): bool
    {
        return [] !== array_filter($this->lines, static fn (LogLine $l): bool => $felt === $l->felt);
    }

    /** Whether it was said of more than half of them, and of more than one. */
    public function isMostly(Felt $felt): bool
    {
        $said = \count(array_filter($this->lines, static fn (LogLine $l): bool => $felt === $l->felt));

        return $said > 1 && 2 * $said > \count($this->lines);
    }

    /** Whether it was said of a whole sitting that day. */
    public function wholeWas(Felt $felt): bool
    {
        return [] !== array_filter($this->lines, static fn (LogLine $l): bool => $felt === $l->whole);
    }

    public function fatigue(): ?int
    {
        $told = array_filter(
            array_map(static fn (LogLine $l): ?int => $l->fatigue, $this->lines),
            static fn (?int $f): bool => null !== $f,
        );

        return [] === $told ? null : max($told);
    }

    /** The least share of what was asked that was reached, 0 to 1. */
    public function reached(): float
    {
        return min(array_map(static fn (LogLine $l): float => $l->reached(), $this->lines));
    }
}
