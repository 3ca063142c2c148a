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
        $byDay = [];
        foreach ($log->lines as $line) {
            if ($line->itemKey() === $itemKey) {
                $byDay[$line->day->format('Y-m-d')][] = $line;
            }
        }

        return new self(array_map(
            StripDay::of(...),
            array_values(
                \array_slice($byDay, -$most, null, true),
            ),
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
