<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** Log lines of one client, oldest first. */
final readonly class SittingLog
{
    /** @var list<LogLine> */
    public array $lines;

    /** @var array<string, list<LogLine>> what was not skipped, by item */
    private array $byItem;

    /**
     * @param list<LogLine>                     $lines in the order they were made; they may reach back some weeks only
     * @param array<string, \DateTimeImmutable> $begun day on which each item was first done, where that is kept
     */
    public function __construct(
        array $lines,
        public array $begun = [],
    ) {
        $indexed = array_map(
            static fn (int $i, LogLine $l): array => [$l->day->format('Y-m-d'), $i, $l],
            array_keys($lines),
            $lines,
        );
        usort($indexed, static fn (array $a, array $b): int => [$a[0], $a[1]] <=> [$b[0], $b[1]]);
        $this->lines = array_column($indexed, 2);
        $byItem = [];
        foreach ($this->lines as $line) {
            if (Outcome::Skipped !== $line->outcome) {
                $byItem[$line->itemKey()][] = $line;
            }
        }
        $this->byItem = $byItem;
    }

    /** @return list<LogLine> of one item, oldest first, skipped ones left out */
    public function for(string $itemKey): array
    {
        return $this->byItem[$itemKey] ?? [];
    }

    /** The day on which an item was first done, however far the lines reach back; null: never. */
    public function begunOn(string $itemKey): ?\DateTimeImmutable
    {
        $first = $this->for($itemKey)[0]->day ?? null;
        $kept = $this->begun[$itemKey] ?? $first;

        return null === $first ? $kept : min($first, $kept);
    }

    /** @return list<string> */
    public function itemKeys(): array
    {
        return array_values(
            array_unique(array_map(static fn (LogLine $l): string => $l->itemKey(), $this->lines)),
        );
    }

    public function lastDay(): ?\DateTimeImmutable
    {
        $worked = array_filter(
            $this->lines,
            static fn (LogLine $l): bool => Outcome::Skipped !== $l->outcome,
        );

        return [] === $worked ? null : $worked[array_key_last($worked)]->day;
    }

    /** A line dated ahead is no evidence; its symptoms count on the day it is read. The same line twice is one. */
    public function upTo(\DateTimeImmutable $today): self
    {
        $lines = [];
        foreach ($this->lines as $line) {
            $lines[$line->id] = $line->day > $today ? $line->withDay($today) : $line;
        }

        return new self(array_values($lines), $this->begun);
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<LogLine>
     */
    public static function since(array $lines, \DateTimeImmutable $day): array
    {
        return array_values(array_filter($lines, static fn (LogLine $l): bool => $l->day >= $day));
    }

    /**
     * @param list<LogLine> $lines
     *
     * @return list<string> ids by which evidence names them
     */
    public static function ids(array $lines): array
    {
        return array_map(static fn (LogLine $l): string => $l->id, $lines);
    }

    /**
     * @param list<LogLine> $lines
     */
    public static function days(array $lines): int
    {
        return \count(
            array_unique(
                array_map(static fn (LogLine $l): string => $l->day->format('Y-m-d'), $lines),
            ),
        );
    }
}
