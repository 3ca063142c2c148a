<?php

declare(strict_types=1);

namespace HandGarden\Core\Progress;

/** The last practice days of one item, side by side. */
final readonly class Strip
{
    public const DAYS = 8;

    /** @param list<StripDay> $days oldest first */
    private function __construct(
        public array $days,
    ) {
    }

    /** What was skipped has its place as well, with the reason that was given. */
    public static function of(string $itemKey, SittingLog $log, int $most = self::DAYS): self
    {
        return self::ofLines(array_values(array_filter(
            $log->lines,
            static fn (LogLine $l): bool => $l->itemKey() === $itemKey,
        )), $most);
    }

    /** @param list<LogLine> $lines of one item, oldest first */
    public static function ofLines(array $lines, ?int $most = null): self
    {
        $byDay = [];
        foreach ($lines as $line) {
            $byDay[$line->day->format('Y-m-d')][] = $line;
        }

        return new self(array_map(
            StripDay::of(...),
            array_values(null === $most ? $byDay : \array_slice(
                $byDay,
                -$most,
            )),
        ));
    }

    public function isEmpty(): bool
    {
        return [] === $this->days;
    }

    /** @return list<string> ids of the lines that it shows */
    public function lineIds(): array
    {
        return array_merge(
            ...array_map(
                static fn (StripDay $d): array => $d->lineIds,
                $this->days,
            ),
            ...[[]],
        );
    }
}
